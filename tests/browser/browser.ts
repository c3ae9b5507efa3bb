import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, By, Key, until, type WebDriver, type WebElement } from 'selenium-webdriver';
import { Options, ServiceBuilder, type Driver } from 'selenium-webdriver/chrome.js';

/** How long a test waits for a condition before it fails; a busy machine needs some. */
const PATIENCE_MS = Number(process.env.FRACTUM_PATIENCE_MS ?? 30_000);

const CHROMIUM_FLAGS = [
  '--headless=new',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-dev-shm-usage',
  '--force-color-profile=srgb',
];

type Size = { readonly width: number; readonly height: number };

export const TELEPHONE: Size = { width: 390, height: 844 };

/** A person in front of a browser: what a test can do and see, always by waiting for a condition. */
export class Person {
  private constructor(
    readonly driver: WebDriver,
    private readonly address: string,
    private readonly profile: string,
    private readonly touches: boolean,
  ) {}

  /** Somebody with a keyboard and a mouse. */
  static arrive(address: string, size = { width: 1280, height: 800 }): Promise<Person> {
    return Person.comes(address, size, false);
  }

  /** Somebody with a telephone and nothing but a finger. */
  static arriveWithTelephone(address: string): Promise<Person> {
    return Person.comes(address, TELEPHONE, true);
  }

  /** Somebody whose camera sees a film. */
  static arriveWithCamera(address: string, film: string): Promise<Person> {
    const camera = ['--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream'];
    return Person.comes(address, TELEPHONE, false, [...camera, `--use-file-for-fake-video-capture=${film}`]);
  }

  private static async comes(
    address: string,
    size: Size,
    touches: boolean,
    flags: readonly string[] = [],
  ): Promise<Person> {
    const profile = mkdtempSync(join(tmpdir(), 'fractum-browser-'));
    const options = new Options();
    options.setChromeBinaryPath('/usr/bin/chromium');
    options.addArguments(...CHROMIUM_FLAGS, ...flags, `--user-data-dir=${profile}`);
    const driver = await new Builder()
      .forBrowser('chrome')
      .setChromeOptions(options)
      .setChromeService(new ServiceBuilder('/usr/bin/chromedriver'))
      .build();
    const person = new Person(driver, address, profile, touches);
    await person.resize(size);
    if (touches) await person.devtools('Emulation.setTouchEmulationEnabled', { enabled: true });
    return person;
  }

  /** Makes the page, not the window, this large. */
  async resize(size: Size): Promise<void> {
    await this.devtools('Emulation.setDeviceMetricsOverride', {
      ...size,
      deviceScaleFactor: 1,
      mobile: false,
    });
  }

  private async devtools(command: string, said: object): Promise<void> {
    await (this.driver as Driver).sendDevToolsCommand(command, said);
  }

  async leave(): Promise<void> {
    await this.driver.quit();
    rmSync(this.profile, { recursive: true, force: true });
  }

  async open(path: string): Promise<void> {
    await this.driver.get(`${this.address}${path}`);
  }

  find(css: string): Promise<WebElement> {
    return this.driver.wait(
      until.elementLocated(By.css(css)),
      PATIENCE_MS,
      `no ${css}`,
    ) as Promise<WebElement>;
  }

  all(css: string): Promise<WebElement[]> {
    return this.driver.findElements(By.css(css));
  }

  /** The first shown element of a kind with these words in it. */
  async findWords(words: string, kind = '*'): Promise<WebElement> {
    const quoted = words.includes("'") ? `"${words}"` : `'${words}'`;
    const path = `//${kind}[contains(normalize-space(.), ${quoted})][not(.//${kind}[contains(normalize-space(.), ${quoted})])]`;
    return this.until(`"${words}" on the page`, async () => {
      for (const element of await this.driver.findElements(By.xpath(path))) {
        if (await element.isDisplayed()) return element;
      }
      return undefined;
    });
  }

  async click(words: string, kind = 'button'): Promise<void> {
    await this.press(() => this.findWords(words, kind));
  }

  async clickOn(css: string): Promise<void> {
    await this.press(() => this.find(css));
  }

  /** Clicks or touches what is found; finds it again when the page has drawn itself anew meanwhile. */
  private async press(findIt: () => Promise<WebElement>): Promise<void> {
    await this.until('something to click', async () => {
      const element = await findIt();
      await this.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', element);
      if (this.touches) return this.touch(element);
      await element.click();
      return true;
    });
  }

  /** A finger on the middle of it and off again; not where something else lies over it. */
  private async touch(element: WebElement): Promise<boolean> {
    const at = await this.driver.executeScript<{ x: number; y: number } | null>(
      `const { x, y, width, height } = arguments[0].getBoundingClientRect();
       const at = { x: x + width / 2, y: y + height / 2 };
       const there = document.elementFromPoint(at.x, at.y);
       return arguments[0].contains(there) || there?.contains(arguments[0]) ? at : null;`,
      element,
    );
    if (!at) return false;
    await this.devtools('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [at] });
    await this.devtools('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    return true;
  }

  /** Puts text into a field in place of what stands there. */
  async type(css: string, text: string): Promise<void> {
    await this.until(`${css} to say ${text}`, async () => {
      const field = await this.find(css);
      const now = await field.getAttribute('value');
      if (now === text) return true;
      // A foot that stays on the page may lie over it.
      await this.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', field);
      if (this.touches) await this.touch(field);
      else await field.click();
      if (now) await this.driver.executeScript('arguments[0].select()', field);
      await field.sendKeys(text);
      return (await field.getAttribute('value')) === text;
    });
  }

  /** Empties a field. */
  async clear(css: string): Promise<void> {
    const field = await this.find(css);
    await field.click();
    await this.chord(Key.CONTROL, 'a');
    await this.keys(Key.BACK_SPACE);
  }

  /** Puts a day into a field for days and leaves it. */
  async day(css: string, day: string): Promise<void> {
    await this.until(`${css} to be ${day}`, async () => {
      const field = await this.find(css);
      if ((await field.getAttribute('value')) === day) return true;
      await field.click();
      await this.chord(Key.CONTROL, 'a');
      await this.keys(day, Key.ENTER);
      return (await field.getAttribute('value')) === day;
    });
  }

  /** Presses keys where the focus is. */
  async keys(...keys: string[]): Promise<void> {
    await this.driver
      .actions()
      .sendKeys(...keys)
      .perform();
  }

  /** Presses a key while another is held. */
  async chord(held: string, key: string): Promise<void> {
    await this.driver.actions().keyDown(held).sendKeys(key).keyUp(held).perform();
  }

  /** Holds a label or a card before the scanner: it types what it reads as fast as it can, and Enter. */
  async scan(text: string): Promise<void> {
    const keys = [...text].flatMap((letter) => (letter === '\u001d' ? [] : [letter]));
    await this.keys(...keys, Key.ENTER);
  }

  async text(css = 'body'): Promise<string> {
    return (await this.find(css)).getText();
  }

  /** Waits until the text of an element fits; fails with the text it had last. */
  async sees(expected: string | RegExp, css = 'body'): Promise<string> {
    let last = '';
    const fits = (text: string) =>
      typeof expected === 'string' ? text.includes(expected) : expected.test(text);
    try {
      return await this.until(`${expected}`, async () => {
        last = await this.text(css);
        return fits(last) ? last : undefined;
      });
    } catch {
      const page = await this.text();
      throw new Error(
        `Waited for ${expected} in ${css}; it said "${last}". The page:\n${page.slice(0, 2000)}`,
      );
    }
  }

  /** Waits for a condition; elements that vanish while it is checked are looked for again. */
  async until<T>(what: string, check: () => Promise<T | undefined | false>): Promise<T> {
    const result = await this.driver.wait(
      async () => {
        try {
          return (await check()) || false;
        } catch (error) {
          const name = (error as Error).name;
          if (/StaleElement|ElementClickIntercepted|ElementNotInteractable|NoSuchElement/.test(name))
            return false;
          throw error;
        }
      },
      PATIENCE_MS,
      `waited for ${what}`,
    );
    return result as T;
  }

  /** Cuts the page off from the network, or gives it back. */
  async network(there: boolean): Promise<void> {
    await this.devtools('Network.enable', {});
    await this.devtools('Network.emulateNetworkConditions', {
      offline: !there,
      latency: 0,
      downloadThroughput: -1,
      uploadThroughput: -1,
    });
  }

  /** What the page gets when it asks for an address with its own cookies. */
  fetched(path: string): Promise<{ status: number; type: string; start: string; length: number }> {
    return this.driver.executeAsyncScript(
      `const done = arguments[arguments.length - 1];
       fetch(arguments[0]).then(async (response) => {
         const bytes = new Uint8Array(await response.arrayBuffer());
         const start = String.fromCharCode(...bytes.slice(0, 4000));
         done({ status: response.status, type: response.headers.get('content-type'), start, length: bytes.length });
       });`,
      path,
    );
  }

  /** Opens a zone of a sheet by its title, wherever it is in the list. */
  async openZone(title: string): Promise<void> {
    await this.until(`${title} to be open`, () =>
      this.driver.executeScript<boolean>(
        `const zones = document.querySelector('section[aria-label^="Decisions"]');
         const rows = [...zones.querySelectorAll('button > b:first-child')];
         rows.find((row) => row.textContent === arguments[0])?.parentElement.click();
         return zones.querySelector('h2')?.textContent.startsWith(arguments[0]) ?? false;`,
        title,
      ),
    );
  }

  async picture(): Promise<Buffer> {
    return Buffer.from(await this.driver.takeScreenshot(), 'base64');
  }

  async signIn(name: string): Promise<void> {
    await this.open('/sign-in');
    await this.click(name);
    await this.find('nav[aria-label="Rail"]');
  }

  /** Asks the house from this person's page, as its screens do, by an id of its own. */
  async act<Output>(name: string, input: object): Promise<Output> {
    const answer = await this.driver.executeAsyncScript<{ ok: boolean; value: Output; message?: string }>(
      `const [name, input, done] = arguments;
       fetch('/api/act/' + name, {
         method: 'POST',
         headers: { 'content-type': 'application/json' },
         body: JSON.stringify(name.endsWith('View') ? input : { ...input, clientId: crypto.randomUUID() }),
       }).then((response) => response.json()).then(done);`,
      name,
      input,
    );
    if (!answer.ok) throw new Error(`${name}: ${answer.message}`);
    return answer.value;
  }

  /** The whole text of an address, asked for with this person's own cookies. */
  saved(path: string): Promise<string> {
    return this.driver.executeAsyncScript(
      `const [path, done] = arguments;
       fetch(path).then((response) => response.text()).then(done);`,
      path,
    );
  }
}
