import { randomUUID } from 'node:crypto';
import type { WeighingId } from '@/core/order/work';
import { CHOPS, WrapTable } from '../tests/wrapTable';

const table = new WrapTable();

describe('the printing worker', () => {
  it('prints each label once, however many wake it at once', async () => {
    for (let pack = 0; pack < 6; pack += 1) {
      await table.weigh(CHOPS, 1290);
      void table.shop.print();
    }
    await Promise.all([table.shop.print(), table.shop.print(), table.shop.print()]);
    await table.shop.print();
    expect(table.shop.printed).toHaveLength(6);
    expect(new Set(table.shop.printed.map((each) => each.name)).size).toBe(6);
  });

  it('prints nothing for a pack that was taken back before the printer came', async () => {
    table.shop.printerAway = true;
    const { id } = await table.weigh(CHOPS, 1290);
    await table.shop.print();
    await table.shop.get('voidWeighing', { clientId: randomUUID(), weighingId: id, reason: '' });
    table.shop.printerAway = false;
    await table.shop.print();
    expect(table.shop.printed).toEqual([]);
  });

  it('sets aside what can never be printed, and goes on with the rest', async () => {
    table.shop.unprintable.add('Rib and loin chops, bone-in');
    await table.weigh(CHOPS, 1290);
    await table.weigh({ kind: 'package', from: 'share', lineKey: 'butt.0.0' }, 3_500);
    await table.shop.print();
    expect(table.shop.printed).toHaveLength(1);
    expect(await table.shop.db('labelJobs').whereNotNull('setAsideAt').select('problem')).toEqual([
      { problem: 'The label of Rib and loin chops, bone-in cannot be printed: no bars' },
    ]);
    await table.shop.print();
    expect(await table.shop.db('labelJobs').max('attempts as most')).toEqual([{ most: 1 }]);
  });

  it('tells the tables what hinders the printer, once, and when it goes on', async () => {
    const told: string[] = [];
    const end = table.shop.events.subscribe(({ asked }) => asked === 'printing' && told.push(asked));
    table.shop.printerAway = true;
    await table.weigh(CHOPS, 1290);
    await table.weigh(CHOPS, 1310);
    for (let clock = 0; clock < 4; clock += 1) await table.shop.print();
    expect(await table.shop.get('printerView', {})).toEqual({ waiting: 2, trouble: 'out of paper' });
    expect(told).toHaveLength(1);
    table.shop.printerAway = false;
    await table.shop.print();
    end();
    expect(await table.shop.get('printerView', {})).toEqual({ waiting: 0, trouble: '' });
    expect(told).toHaveLength(2);
    expect(await table.shop.db('labelJobs').whereNotNull('setAsideAt')).toEqual([]);
  });

  it('does not give up labels because the printer is away for long', async () => {
    table.shop.printerAway = true;
    await table.weigh(CHOPS, 1290);
    for (let clock = 0; clock < 10; clock += 1) await table.shop.print();
    table.shop.printerAway = false;
    await table.shop.print();
    expect(table.shop.printed).toHaveLength(1);
  });
});

describe('a label again', () => {
  it('is a copy, once for each press', async () => {
    const pack = await table.weigh(CHOPS, 1290);
    const press = { clientId: randomUUID(), weighingId: pack.id };
    await table.shop.get('reprintLabel', press);
    await table.shop.get('reprintLabel', press);
    await table.shop.print();
    expect(table.shop.printed.map((each) => each.name)).toEqual([pack.id, `${pack.id}-copy2`]);
    expect(table.shop.printed[1]!.label).toEqual(table.shop.printed[0]!.label);
  });

  it('is not printed for a barrel, nor for a pack that was taken back', async () => {
    const barrel = await table.weigh({ kind: 'barrel', barrel: 'bone' }, 1000);
    const again = (weighingId: WeighingId) =>
      table.shop.ask('reprintLabel', { clientId: randomUUID(), weighingId });
    expect(await again(barrel.id)).toMatchObject({ reason: 'no-label' });
    const pack = await table.weigh(CHOPS, 1290);
    await table.shop.get('voidWeighing', { clientId: randomUUID(), weighingId: pack.id, reason: 'torn' });
    expect(await again(pack.id)).toMatchObject({ reason: 'voided' });
  });
});
