import { dayIn, daysBetween, endOfDay, isDay, monthsAfter, timeIn } from './shopTime';

describe('the shop’s calendar', () => {
  it('is that of its zone, not of the server', () => {
    const late = new Date('2026-07-01T02:30:00Z');
    expect(dayIn('America/Denver', late)).toBe('2026-06-30');
    expect(timeIn('America/Denver', late)).toBe('2026-06-30 20:30');
    expect(dayIn('Europe/London', new Date('2026-06-30T23:30:00Z'))).toBe('2026-07-01');
  });

  it('ends its days at midnight there, summer and winter', () => {
    expect(endOfDay('Europe/London', '2026-07-01').toISOString()).toBe('2026-07-01T23:00:00.000Z');
    expect(endOfDay('Europe/London', '2026-11-22').toISOString()).toBe('2026-11-23T00:00:00.000Z');
    expect(endOfDay('Europe/London', '2026-10-25').toISOString()).toBe('2026-10-26T00:00:00.000Z');
  });

  it('counts days by the calendar, over the end of summer time too', () => {
    expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2);
    expect(daysBetween('2026-12-31', '2027-01-01')).toBe(1);
    expect(daysBetween('2026-11-02', '2026-11-02')).toBe(0);
  });

  it('falls on the last day of a shorter month', () => {
    expect(monthsAfter('2026-11-24', 9)).toBe('2027-08-24');
    expect(monthsAfter('2027-11-30', 3)).toBe('2028-02-29');
  });

  it.each(['2026-02-30', '2026-13-01', '24.11.2026', '', 'constructor'])('%s is no day', (text) => {
    expect(isDay(text)).toBe(false);
  });
});
