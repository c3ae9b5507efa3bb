import type { Driver } from 'selenium-webdriver/chrome.js';
import type { Person } from '../../tests/browser/browser';

/** Bytes of script over the wire: what the page itself asks for, and what follows by itself once it is there. */
export type Weighed = { readonly first: number; readonly later: number };

/** Loads a page with nothing kept and adds up its scripts, once it is quiet. */
export async function weightOf(person: Person, address: string): Promise<Weighed> {
  const devtools = person.driver as Driver;
  await devtools.sendDevToolsCommand('Network.enable', {});
  await devtools.sendDevToolsCommand('Network.setCacheDisabled', { cacheDisabled: true });
  await person.driver.get(address);
  let before = -1;
  return person.until('the page to be quiet', async () => {
    const [count, first, later] = await person.driver.executeAsyncScript<[number, number, number]>(
      `const done = arguments[arguments.length - 1];
       fetch(location.href).then((answer) => answer.text()).then((html) => {
         const scripts = performance.getEntriesByType('resource').filter((each) => /\\.js(\\?|$)/.test(each.name));
         const isFirst = ({ name }) => html.includes(new URL(name).pathname);
         const sum = (own) => own.reduce((all, each) => all + each.encodedBodySize, 0);
         done([scripts.length, sum(scripts.filter(isFirst)), sum(scripts.filter((each) => !isFirst(each)))]);
       });`,
    );
    const isQuiet = count > 0 && count === before;
    before = count;
    if (!isQuiet) await new Promise((done) => setTimeout(done, 600));
    return isQuiet ? { first, later } : undefined;
  });
}
