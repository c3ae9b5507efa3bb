import { createParser } from 'eventsource-parser';
import type { SignedReading } from '@/core/scale/reading';
import type { Scale } from './scale';
import { isGenuine } from './signature';

/**
 * A scale that speaks server-sent events, as the simulated one does.
 *
 * @param key - shared with the scale, which signs its readings with it
 */
export function httpScale(address: string, key: string): Scale {
  return {
    async watch(onReading, signal) {
      const response = await fetch(`${address}/readings`, { signal });
      if (!response.ok || !response.body) throw new Error(`The scale answered ${response.status}.`);
      const parser = createParser({
        onEvent: (event) => onReading(JSON.parse(event.data) as SignedReading),
      });
      const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
      for (let read = await reader.read(); !read.done; read = await reader.read()) parser.feed(read.value);
    },
    async tare() {
      const response = await fetch(`${address}/tare`, { method: 'POST' });
      if (response.status === 409) return 'moving';
      if (!response.ok) throw new Error(await response.text());
      return 'taken';
    },
    vouches: (reading) => isGenuine(reading, key),
  };
}
