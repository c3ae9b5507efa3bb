import type { Driver } from 'selenium-webdriver/chrome.js';
import { rollup, sum } from 'd3-array';
import { Key } from 'selenium-webdriver';
import type { Person } from '../../tests/browser/browser';

const CHOICES = 30;
const PROFILED = 10;

type Node = {
  readonly id: number;
  readonly callFrame: { readonly functionName: string; readonly url: string };
};
type Profile = {
  readonly nodes: readonly Node[];
  readonly samples: readonly number[];
  readonly timeDeltas: readonly number[];
};

export type Felt = {
  /** Milliseconds from each key press to the frame that shows its figures. */
  readonly painted: readonly number[];
  /** Milliseconds a choice, by what ran. */
  readonly parts: readonly (readonly [name: string, ms: number])[];
};

/** Notes for each digit when it was pressed and when the frame after it was painted, and what the figures said then. */
const WATCH = `
  window.felt = [];
  const figures = () => document.querySelector('dl')?.textContent ?? '';
  addEventListener('keydown', (event) => {
    if (!/^[0-9]$/.test(event.key)) return;
    const before = figures();
    requestAnimationFrame(() => {
      const channel = new MessageChannel();
      channel.port1.onmessage = () =>
        window.felt.push([performance.now() - event.timeStamp, before !== figures()]);
      channel.port2.postMessage(0);
    });
  }, true);`;

/** Answers zone after zone of the beef half by digits and measures each choice that changed the figures. */
export async function choices(person: Person, throttle: number): Promise<Felt> {
  const devtools = person.driver as Driver;
  await person.open('/sheet');
  await person.click('Ysolde Marrack', 'a');
  await person.sees('take-home');
  await person.openZone('Neck');
  await person.driver.executeScript(WATCH);
  await devtools.sendDevToolsCommand('Emulation.setCPUThrottlingRate', { rate: throttle });
  const painted = await pressThrough(person, CHOICES);
  // The profile slows what it looks at: it is taken of other choices than those that were timed.
  await devtools.sendDevToolsCommand('Profiler.enable', {});
  await devtools.sendDevToolsCommand('Profiler.setSamplingInterval', { interval: 500 });
  await devtools.sendDevToolsCommand('Profiler.start', {});
  const profiled = await pressThrough(person, PROFILED);
  const stopped: unknown = await devtools.sendAndGetDevToolsCommand('Profiler.stop', {});
  const { profile } = stopped as { profile: Profile };
  await devtools.sendDevToolsCommand('Emulation.setCPUThrottlingRate', { rate: 1 });
  return { painted, parts: await partsOf(profile, profiled.length) };
}

async function pressThrough(person: Person, count: number): Promise<number[]> {
  await person.driver.executeScript('window.felt = []');
  const changed = async () => {
    const felt = await person.driver.executeScript<[number, boolean][]>('return window.felt');
    return felt.filter(([, isChanged]) => isChanged).map(([ms]) => ms);
  };
  for (let turn = 0; (await changed()).length < count && turn < count * 4; turn += 1) {
    await person.keys(String((turn % 3) + 1));
    // Somebody looks before pressing again: what follows a choice has settled.
    await person.until(
      'the sheet to be saved',
      async () => (await person.all('[data-saving="saved"], [data-saving="refused"]')).length > 0,
    );
    if (turn % 3 === 2) await person.keys(Key.ARROW_DOWN);
  }
  return changed();
}

/** The chunks of the app by what is in them. */
async function nameOf(url: string, known: Map<string, string>): Promise<string> {
  const found = known.get(url);
  if (found) return found;
  const text = url.startsWith('http') ? await fetch(url).then((answer) => answer.text()) : '';
  const name = /react-dom|onRecoverableError/.test(text)
    ? 'React'
    : /take-home/.test(text)
      ? 'the sheet’s own screen'
      : /kerf/.test(text)
        ? 'the core'
        : /ant-|cssinjs/.test(text)
          ? 'Ant Design'
          : 'other script';
  known.set(url, name);
  return name;
}

async function partsOf({ nodes, samples, timeDeltas }: Profile, count: number): Promise<Felt['parts']> {
  const byId = new Map(nodes.map((node) => [node.id, node.callFrame]));
  const known = new Map<string, string>();
  const spent: { name: string; ms: number }[] = [];
  for (const [index, id] of samples.entries()) {
    const { functionName, url } = byId.get(id)!;
    if (functionName === '(idle)') continue;
    const name = functionName.startsWith('(') ? functionName.slice(1, -1) : await nameOf(url, known);
    spent.push({ name, ms: timeDeltas[index]! / 1000 });
  }
  const totals = rollup(
    spent,
    (own) => sum(own, (each) => each.ms) / count,
    (each) => each.name,
  );
  return [...totals].sort(([, a], [, b]) => b - a);
}
