import { refuse } from '@/server/house/reasons';
import { isFromOurPages, statusOf } from './http';

describe('the status of a refusal', () => {
  it.each([
    ['not-signed-in', 401],
    ['wrong', 401],
    ['not-allowed', 403],
    ['not-found', 404],
    ['invalid', 400],
    ['locked', 429],
    ['unexpected', 500],
    ['already-taken', 409],
    ['open-questions', 409],
  ] as const)('%s is %d', (reason, status) => {
    expect(statusOf(refuse(reason, 'Words.'))).toBe(status);
  });
});

describe('where a request comes from', () => {
  const from = (origin?: string) =>
    isFromOurPages(
      new Request('http://shop.local/api', {
        headers: { host: 'shop.local', ...(origin ? { origin } : {}) },
      }),
    );

  it('our own pages, and programs without a page, may ask', () => {
    expect(from('http://shop.local')).toBe(true);
    expect(from()).toBe(true);
  });

  it.each(['http://elsewhere.example', 'http://shop.local.example', 'null', 'nonsense'])(
    '%s may not',
    (origin) => {
      expect(from(origin)).toBe(false);
    },
  );
});
