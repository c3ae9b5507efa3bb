import type { ScaleReading } from '@/core/scale/reading';
import type { Scale } from './scale';

/** A scale that speaks server-sent events, as the simulated one does. */
export function httpScale(address: string): Scale {
  return {
    async watch(onReading, signal) {
      const response = await fetch(`${address}/readings`, { signal });
      if (!response.ok || !response.body) throw new Error(`The scale answered ${response.status}.`);
      const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
      let buffer = '';
      for (;;) {
        const { done, value } = await reader.read();
        if (done) return;
        const events = (buffer + value).split('\n\n');
        buffer = events.pop() ?? '';
        for (const event of events) {
          if (event.startsWith('data: ')) onReading(JSON.parse(event.slice(6)) as ScaleReading);
        }
      }
    },
    async tare() {
      const response = await fetch(`${address}/tare`, { method: 'POST' });
      if (!response.ok) throw new Error(await response.text());
    },
  };
}
