import type { Tier } from '@/core/charges/priceList';
import { failure, success, type Result } from '@/core/quantity/result';

const TIER = /^(?:above\s+)?(\d+(?:\.\d+)?)\s*:\s*(\d+(?:\.\d{1,2})?)$/i;

/** Tiers as a field has them: `above 250: 98.00, above 400: 120.00`. */
export function tierWords(tiers: readonly Tier[]): string {
  return tiers.map(({ above, rateCents }) => `above ${above}: ${(rateCents / 100).toFixed(2)}`).join(', ');
}

/** Reads what `tierWords` writes, or what is wrong with it. */
export function readTiers(text: string): Result<Tier[], 'invalid'> {
  const tiers: Tier[] = [];
  for (const said of text.split(',').map((part) => part.trim())) {
    if (said === '') continue;
    const [, above, rate] = TIER.exec(said) ?? [];
    if (above === undefined || rate === undefined) {
      return failure('invalid', `“${said}” is no tier. Write: above 250: 98.00`);
    }
    tiers.push({ above: Number(above), rateCents: Math.round(Number(rate) * 100) as Tier['rateCents'] });
  }
  return success(tiers);
}
