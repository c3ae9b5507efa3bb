import { v4 as newId } from 'uuid';
import type { Found } from '@/core/goals/findSheets';
import type { PlannedWeek } from '@/core/week/bestPlan';
import type { WeekFound } from '@/core/week/weekJob';
import { failure, type Result } from '@/core/quantity/result';
import type { Reason } from '@/server/house/reasons';
import type { InputOf, OutputOf, UseCaseName } from '@/server/useCases';
import { signInAgain } from './session';

/** What can go wrong on the way, beside what the house refuses; `kept`: the device has it and will send it. */
export type WayReason = 'offline' | 'no-answer' | 'kept';

export type Answer<Output> = Result<Output, Reason | WayReason>;

/** The house answers in well under a second; after this long it hangs, and whoever waits is told so. */
const LONGEST_ANSWER_MS = 15_000;

const OFFLINE =
  'The network is away and this did not reach the house. It stays here as typed; send it again when it is back.';
const NO_ANSWER =
  'The house does not answer. It stays here as typed; send it again in a moment, it is done only once.';

/**
 * Asks the house for something from the browser. A lost network and a house that hangs are refusals like any other.
 * When the session has ended, the same person may sign in again over the page, and the question is asked once more.
 */
export async function act<Name extends UseCaseName>(
  name: Name,
  input: InputOf<Name>,
): Promise<Answer<OutputOf<Name>>> {
  const answer = await post(name, input);
  if (answer.ok || answer.reason !== 'not-signed-in') return answer;
  return (await signInAgain()) ? post(name, input) : answer;
}

function post<Name extends UseCaseName>(name: Name, input: InputOf<Name>): Promise<Answer<OutputOf<Name>>> {
  return postTo(`/api/act/${name}`, input, { offline: OFFLINE, noAnswer: NO_ANSWER });
}

/**
 * Asks for sheets that meet wishes: takes seconds, says how many were tried, and is stopped when nobody waits for it
 * any more.
 *
 * @returns undefined when it was stopped
 */
export async function searchSheets(
  input: InputOf<'wishesView'>,
  stop: AbortSignal,
  onTried: (tried: number) => void,
): Promise<Answer<Found> | undefined> {
  return search<Found, number>('/api/wishes', { input, stop, onNews: onTried });
}

/**
 * Asks for the best week: takes seconds, tells each better plan on the way.
 *
 * @returns undefined when it was stopped
 */
export async function planWeeks(
  stop: AbortSignal,
  onNews: (sofar: PlannedWeek) => void,
): Promise<Answer<WeekFound> | undefined> {
  return search<WeekFound, PlannedWeek>('/api/week', { input: {}, stop, onNews });
}

type Searches<News> = {
  readonly input: object;
  readonly stop: AbortSignal;
  readonly onNews: (news: News) => void;
};

async function search<Output, News>(
  path: string,
  { input, stop, onNews }: Searches<News>,
): Promise<Answer<Output> | undefined> {
  const patience = new Patience();
  const answer = await answered({ offline: OFFLINE, noAnswer: NO_ANSWER }, async () => {
    const response = await posted(path, input, AbortSignal.any([patience.signal, stop]));
    let last: unknown = undefined;
    for await (const line of linesOf(response)) {
      patience.heard();
      last = JSON.parse(line);
      if (isOnTheWay<News>(last) && last.sofar !== null) onNews(last.sofar);
    }
    return last as Answer<Output>;
  });
  patience.end();
  return stop.aborted ? undefined : answer;
}

/** Gives up on somebody who says nothing for the time of a longest answer, however long all of it takes. */
class Patience {
  private readonly ends = new AbortController();
  private timer = this.waits();

  get signal(): AbortSignal {
    return this.ends.signal;
  }

  heard(): void {
    this.end();
    this.timer = this.waits();
  }

  end(): void {
    clearTimeout(this.timer);
  }

  private waits(): ReturnType<typeof setTimeout> {
    const hangs = new DOMException('Nothing was heard.', 'TimeoutError');
    return setTimeout(() => this.ends.abort(hangs), LONGEST_ANSWER_MS);
  }
}

function isOnTheWay<News>(line: unknown): line is { readonly sofar: News | null } {
  return typeof line === 'object' && line !== null && 'sofar' in line;
}

/** The lines of an answer, as they come. */
async function* linesOf(response: Response): AsyncGenerator<string> {
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (let { done, value } = await reader.read(); !done; { done, value } = await reader.read()) {
    const lines = (rest + value).split('\n');
    rest = lines.pop()!;
    yield* lines;
  }
  if (rest !== '') yield rest;
}

/** A second person says yes at somebody's station, by name and secret: it is their own deed. */
export function lookAsSecond(
  input: InputOf<'lookSecond'> | InputOf<'lookAtMix'>,
  who: { readonly name: string; readonly secret: string },
): Promise<Answer<OutputOf<'lookSecond'> | OutputOf<'lookAtMix'>>> {
  return postTo('/api/second-look', { ...input, ...who }, { offline: OFFLINE, noAnswer: NO_ANSWER });
}

/** Posts to the house; a lost network and a house that hangs are refusals like any other, in these words. */
export async function postTo<Output>(path: string, input: unknown, words: Words): Promise<Answer<Output>> {
  return answered(words, async () => {
    const response = await posted(path, input, AbortSignal.timeout(LONGEST_ANSWER_MS));
    return (await response.json()) as Answer<Output>;
  });
}

type Words = { readonly offline: string; readonly noAnswer: string };

function posted(path: string, input: unknown, signal: AbortSignal): Promise<Response> {
  return fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(input),
    signal,
  });
}

async function answered<Output>(words: Words, asked: () => Promise<Answer<Output>>): Promise<Answer<Output>> {
  try {
    return await asked();
  } catch (error) {
    const hangs = error instanceof Error && error.name === 'TimeoutError';
    return hangs ? failure('no-answer', words.noAnswer) : failure('offline', words.offline);
  }
}

/** Whether a refusal says nothing of what was asked: it never arrived, or its answer was lost. */
export function isUnanswered(reason: string): boolean {
  return reason === 'offline' || reason === 'no-answer' || reason === 'kept';
}

/** An id for one press of a key, so that sending it twice does it once. Works on plain http in the shop's net. */
export function newClientId(): string {
  return newId();
}
