import { cureDays } from './curing/days';
import { limitOf, USUAL_NITRITE, verdictOf } from './curing/limits';
import { brinePpm, cureFor, equilibriumPpm, ingoingPpm, perHundredBrine, takenUpPpm } from './curing/nitrite';
import { curedChain, driedOf, pumpOf } from './curing/weights';
import { blendBins, fatterToUse, twoBinBlend } from './grindroom/blend';
import { batchesOf, linksOf, pattiesOf, sausageMix, tubesOf } from './grindroom/packing';
import { fatPctOf } from './forecast/grind';
import { dryAged, frozenLeft } from './hang/ageing';
import { expectedCold, shrinkPct } from './hang/shrink';
import worked from './processing.fixture.json';
import { allocate, roundToTotal } from './quantity/allocate';
import { inUnits, weight } from './quantity/weight';
import { NOTHING_PACKED, yieldRow } from './tests/yieldRow';
import { rateOf } from './yields/rates';

/** The worked examples of processing that are arithmetic of the core, each by its own inputs and outputs. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- every case of the fixture has a shape of its own
function example(id: string): { inputs: any; outputs: any } {
  return worked.examples.find((each) => each.id === id)!;
}

describe('worked examples of processing', () => {
  it('P01, P02: shrink on the rail', () => {
    const { inputs: beef, outputs } = example('P01');
    const curve = {
      covering: 'open',
      firstDay: beef.first24h,
      daysTwoToSeven: beef.days_2_7_rate,
      later: beef.days_8_14_rate,
    };
    expect(inUnits(expectedCold(curve, weight(beef.hot_lb), 1))).toBeCloseTo(outputs.cold24_lb, 2);
    expect(inUnits(expectedCold(curve, weight(beef.hot_lb), 14))).toBeCloseTo(outputs.day14_lb, 2);
    expect(shrinkPct(weight(beef.hot_lb), weight(outputs.day14_lb))).toBeCloseTo(outputs.total_shrink_pct, 2);
    const { inputs: lamb, outputs: lambs } = example('P02');
    for (const [rate, left] of [
      [lamb.open_rate, lambs.open_lb],
      [lamb.wrapped_rate, lambs.wrapped_lb],
    ]) {
      const daily = { covering: 'any', firstDay: lamb.first24h, daysTwoToSeven: rate, later: rate };
      expect(inUnits(expectedCold(daily, weight(lamb.hot_lb), lamb.days + 1))).toBeCloseTo(left, 2);
    }
  });

  it('P03, P31: dry ageing and the freezer', () => {
    const { inputs, outputs } = example('P03');
    const aged = dryAged(inputs.start_lb, {
      daily: inputs.daily,
      days: inputs.days,
      faceTrim: inputs.face_trim,
    });
    expect(aged.dried).toBeCloseTo(outputs.after_evap_lb, 2);
    expect(aged.faceTrim).toBeCloseTo(outputs.face_trim_lb, 2);
    expect(aged.left).toBeCloseTo(outputs.left_lb, 2);
    const { inputs: box, outputs: frozen } = example('P31');
    expect(frozenLeft(box.packaged_lb, 'vacuum', box.months)).toBeCloseTo(frozen.vacuum_lb, 2);
    expect(frozenLeft(box.packaged_lb, 'paper', box.months)).toBeCloseTo(frozen.paper_lb, 2);
    expect(frozenLeft(10, 'paper', 0)).toBe(10);
  });

  it('P04, P05, P07: two bins and the label', () => {
    const { inputs, outputs } = example('P04');
    const { lean_a: leaner, lean_b: fatter, target: wished, batch_lb: batch } = inputs;
    expect(twoBinBlend({ leaner, fatter, wished, batch })).toEqual({
      leaner: outputs.a_lb,
      fatter: outputs.b_lb,
    });
    const { inputs: all, outputs: used } = example('P05');
    const fatterLb = fatterToUse({
      leaner: all.lean_a,
      stock: all.a_lb,
      fatter: all.lean_b,
      wished: all.target,
    });
    expect(fatterLb).toBeCloseTo(used.b_used_lb, 2);
    expect(all.b_lb - fatterLb).toBeCloseTo(used.b_left_lb, 2);
    const { inputs: pile, outputs: label } = example('P07');
    const count = { fatBasis: 'total' as const, lipid: { lean: pile.lean_imf, fat: pile.fat_lipid } };
    expect(fatPctOf(pile.lean_trim_lb, pile.fat_trim_lb, count)).toBeCloseTo(label.total_fat_pct, 6);
    expect(() => twoBinBlend({ leaner: 90, fatter: 50, wished: 95, batch: 10 })).toThrow(
      /"wished" expected between/,
    );
    expect(() => fatterToUse({ leaner: 70, stock: 1, fatter: 50, wished: 80 })).toThrow(/"wished"/);
  });

  it('P06: any number of bins at the least cost', async () => {
    const { inputs, outputs } = example('P06');
    const bins = inputs.bins.map((bin: { lean: number; cost: number; stock_lb: number }) => ({
      leanPct: bin.lean,
      cost: bin.cost,
      stock: bin.stock_lb,
    }));
    const blend = await blendBins(bins, inputs.batch_lb, inputs.target_lean);
    if (!blend.ok) throw new Error(blend.message);
    outputs.use_lb.forEach((lb: number, at: number) => expect(blend.value.use[at]).toBeCloseTo(lb, 2));
    expect(blend.value.cost).toBeCloseTo(outputs.cost, 1);
    expect(blend.value.leanPct).toBeCloseTo(outputs.lean, 6);
  });

  it('bins that cost nothing save the leanest; too little and too fat are said', async () => {
    const bins = [
      { leanPct: 90, stock: 50 },
      { leanPct: 80, stock: 50 },
      { leanPct: 50, stock: 50 },
    ];
    const blend = await blendBins(bins, 40, 80);
    expect(blend.ok && blend.value.leanPct).toBeCloseTo(80, 6);
    expect(await blendBins(bins, 400, 80)).toMatchObject({ ok: false, reason: 'too-little' });
    expect(await blendBins(bins, 60, 90)).toMatchObject({ ok: false, reason: 'too-fat' });
  });

  it('P08, P09, P11, P12, P33: tubes, patties, sausage, links, batches', () => {
    const { inputs: tube, outputs: tubes } = example('P08');
    const packed = tubesOf(tube.grind_lb, tube.dead_lb, tube.tube_lb);
    expect(packed.tubes).toBe(tubes.tubes);
    expect(packed.left).toBeCloseTo(tubes.leftover_lb, 6);
    expect(packed.oddPack).toBeCloseTo(tubes.leftover_pack_lb, 6);
    const { inputs: patty, outputs: patties } = example('P09');
    const made = pattiesOf(patty.grind_lb, patty.dead_lb, { patty: 1 / 3, perPack: patty.per_pack });
    expect(made).toMatchObject({
      patties: patties.patties,
      packs: patties.packs,
      oddPatties: patties.odd_pack_patties,
    });
    expect(made.left).toBeCloseTo(patties.leftover_lb, 2);
    const { inputs: batch, outputs: mixed } = example('P11');
    const recipe = {
      seasoning: batch.seasoning_per_100 / 100,
      water: batch.water_pct_of_meat / 100,
      binder: batch.binder_pct_of_meat / 100,
    };
    const mix = sausageMix(batch.meat_lb, recipe, batch.dead_lb);
    expect(mix.mix).toBeCloseTo(mixed.mix_lb, 1);
    expect(mix.stuffed).toBeCloseTo(mixed.stuffed_lb, 1);
    const { inputs: link, outputs: links } = example('P12');
    expect(linksOf(link.stuffed_lb, link.links_per_lb, link.per_pack)).toEqual({
      links: links.links,
      packs: links.packs,
      oddLinks: links.odd_links,
    });
    const { inputs: pool, outputs: batches } = example('P33');
    expect(batchesOf(pool.pool_lb, pool.minimum_batch_lb).batches).toBe(batches.before);
    const after = batchesOf(pool.pool_lb + pool.released_zone_lb, pool.minimum_batch_lb);
    expect(after.batches).toBe(batches.after);
    expect(after.left).toBeCloseTo(batches.rest_to_bulk_lb, 6);
  });

  it('P13, P14, P15, P34: ingoing nitrite by each method', () => {
    const { inputs, outputs } = example('P13');
    const ppm = ingoingPpm({ cure: inputs.cure_lb, nitriteShare: inputs.nitrite_frac }, inputs.meat_lb);
    expect(ppm).toBeCloseTo(outputs.ppm, 9);
    const limit = limitOf(USUAL_NITRITE, 'ground');
    expect(limit).toBe(outputs.limit_comminuted);
    expect(verdictOf(USUAL_NITRITE, ppm, limit)).toBe('good');
    expect(verdictOf({ ...USUAL_NITRITE, strict: true }, ppm, limit)).toBe('over');
    const { inputs: wanted, outputs: cure } = example('P13b');
    expect(cureFor(wanted.target_ppm, wanted.meat_lb, wanted.nitrite_frac)).toBeCloseTo(cure.cure_lb, 9);
    const { inputs: brine, outputs: pumped } = example('P14');
    const strength = brinePpm({ cure: brine.cure_lb_per_100_brine }, 100);
    expect(strength).toBeCloseTo(pumped.brine_nitrite_ppm, 9);
    expect(takenUpPpm(strength, brine.pump_pct)).toBeCloseTo(pumped.ingoing_ppm, 9);
    const { inputs: bacon, outputs: per } = example('P15');
    const pct = bacon.pump_pct;
    expect(perHundredBrine({ ppm: bacon.target_nitrite, pct, part: 0.0625 })).toBeCloseTo(
      per.cure_lb_per_100_brine,
      3,
    );
    expect(perHundredBrine({ ppm: bacon.target_erythorbate, pct, part: 1 })).toBeCloseTo(
      per.erythorbate_lb_per_100_brine,
      3,
    );
    const { inputs: soaked, outputs: level } = example('P34');
    expect(takenUpPpm(soaked.brine_nitrite_ppm, soaked.pickup_pct)).toBeCloseTo(level.pickup_ppm, 1);
    const { target_ppm: target, meat_lb: meat, brine_lb: liquor } = soaked.equilibrium;
    const salt = cureFor(target, meat + liquor);
    expect(salt).toBeCloseTo(level.equilibrium_cure_lb, 9);
    expect(equilibriumPpm({ cure: salt }, { meat, brine: liquor })).toBeCloseTo(target, 9);
  });

  it('P32: a ham brine is over the limit of bacon', () => {
    const { inputs, outputs } = example('P32');
    const brine = inputs.water_lb + inputs.salt_lb + inputs.sugar_lb + inputs.cure_lb;
    expect(brine).toBeCloseTo(outputs.brine_lb, 2);
    const strength = brinePpm({ cure: inputs.cure_lb }, brine);
    expect(strength).toBeCloseTo(outputs.brine_nitrite_ppm, 1);
    const ingoing = takenUpPpm(strength, inputs.pump_pct);
    expect(ingoing).toBeCloseTo(outputs.ingoing_ppm, 1);
    expect(verdictOf(USUAL_NITRITE, ingoing, limitOf(USUAL_NITRITE, 'ham'))).toBe('good');
    expect(verdictOf(USUAL_NITRITE, ingoing, limitOf(USUAL_NITRITE, 'bacon-pumped'))).toBe('over');
    expect(limitOf(USUAL_NITRITE, 'bacon-pumped', true)).toBe(108);
    expect(limitOf(USUAL_NITRITE, 'bacon-dry', true)).toBe(180);
    expect(limitOf(USUAL_NITRITE, 'ham', true)).toBe(200);
  });

  it('P16 to P20: pump, bacon, ham, jerky, days in the cure', () => {
    const { inputs: piece, outputs: pump } = example('P16');
    const { pumpPct, retainedPct } = pumpOf({
      green: piece.green_lb,
      pumped: piece.pumped_lb,
      drained: piece.drained_lb,
    });
    expect(pumpPct).toBeCloseTo(pump.pump_pct, 9);
    expect(retainedPct).toBeCloseTo(pump.retained_pct, 9);
    const { inputs: belly, outputs: bacon } = example('P17');
    const sliced = curedChain(belly.green_trimmed_lb, {
      retained: belly.retained,
      smoke: belly.smoke_yield,
      slice: belly.slice_yield,
    });
    expect(sliced.pumped).toBeCloseTo(bacon.after_pump_lb, 2);
    expect(sliced.smoked).toBeCloseTo(bacon.smoked_slab_lb, 2);
    expect(sliced.finished).toBeCloseTo(bacon.sliced_lb, 2);
    expect(sliced.ends).toBeCloseTo(bacon.ends_lb, 2);
    expect(sliced.onGreenPct).toBeCloseTo(bacon.finished_on_green_pct, 1);
    const { inputs: leg, outputs: ham } = example('P18');
    const whole = curedChain(leg.green_lb, { retained: leg.retained, smoke: leg.smoke_yield });
    expect(whole.finished).toBeCloseTo(ham.smoked_lb, 2);
    expect(whole.onGreenPct).toBeCloseTo(ham.on_green_pct, 1);
    expect(whole.ends).toBe(0);
    const { inputs: jerky, outputs: dried } = example('P19');
    const gone = driedOf({
      green: jerky.green_lb,
      seasoning: jerky.seasoning_lb,
      finished: jerky.finished_lb,
      moisture: jerky.green_moisture,
    });
    expect(gone.yieldPct).toBeCloseTo(dried.yield_pct, 1);
    expect(gone.waterOff).toBeCloseTo(dried.water_off_lb, 2);
    expect(gone.moisturePct).toBeCloseTo(dried.finished_moisture_pct, 1);
    expect(cureDays('dry', example('P20').inputs.thickness_in)).toBe(example('P20').outputs.days);
    expect(cureDays('dry', example('P20b').inputs.thickness_in)).toBe(example('P20b').outputs.days);
    expect(cureDays('pumped', example('P20c').inputs.thickness_in)).toBe(example('P20c').outputs.days);
    expect(cureDays('pumped-covered', 1.75)).toBe(9);
    expect(() => cureDays('dry', 9)).toThrow('1 to 6 in');
  });

  it('P10: a pooled batch is paid back in whole packs by weight', () => {
    const { inputs, outputs } = example('P10');
    const green: number[] = Object.values(inputs.in_lb);
    const whole = green.reduce((sum, lb) => sum + lb, 0);
    expect(
      roundToTotal(
        green.map((lb) => (inputs.packs * lb) / whole),
        inputs.packs,
      ),
    ).toEqual(outputs.packs);
  });

  it('P23, P24: yields by their denominators, and the bridge from belief to boxes', () => {
    const { inputs, outputs } = example('P23');
    const row = yieldRow({
      live: weight(inputs.live_lb),
      hot: weight(inputs.hot_lb),
      cold: weight(inputs.cold_lb),
      packed: { ...NOTHING_PACKED, roasts: weight(inputs.packaged_lb) },
    });
    expect(rateOf(row, 'dressing')).toBeCloseTo(outputs.dressing_pct, 1);
    expect(rateOf(row, 'packed-hot')).toBeCloseTo(outputs.packaged_on_hot_pct, 1);
    expect(rateOf(row, 'packed-cold')).toBeCloseTo(outputs.packaged_on_cold_pct, 1);
    expect(rateOf(row, 'packed-live')).toBeCloseTo(outputs.packaged_on_live_pct, 1);
    expect(rateOf({ ...row, live: null }, 'packed-live')).toBeNull();
    const { inputs: bridge, outputs: end } = example('P24');
    const left =
      bridge.live_lb -
      bridge.slaughter_lb -
      bridge.cooler_lb -
      bridge.bone_lb -
      bridge.fat_lb -
      bridge.other_lb -
      bridge.cut_loss_lb;
    expect(left).toBeCloseTo(end.sum_lb, 2);
  });

  it('P27: cents that do not divide go to the earlier ones', () => {
    const { inputs, outputs } = example('P27');
    const parts = allocate(Math.round(inputs.amount * 100), [1, 1, 1]);
    expect(parts.map((cents) => cents / 100)).toEqual(outputs.parts);
  });
});
