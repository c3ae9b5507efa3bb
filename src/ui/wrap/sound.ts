let context: AudioContext | undefined;

/** One high tone for done, two low ones for refused; a room too loud to hear them sees the flash. */
export function sound(kind: 'done' | 'refused'): void {
  try {
    context ??= new AudioContext();
    const tones = kind === 'done' ? [880] : [220, 196];
    tones.forEach((hertz, index) => {
      const tone = context!.createOscillator();
      const volume = context!.createGain();
      tone.frequency.value = hertz;
      volume.gain.value = 0.15;
      tone.connect(volume).connect(context!.destination);
      tone.start(context!.currentTime + index * 0.16);
      tone.stop(context!.currentTime + index * 0.16 + 0.12);
    });
  } catch {
    // A machine without sound still has the flash.
  }
}
