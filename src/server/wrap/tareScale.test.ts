import { WrapTable } from '../tests/wrapTable';

const table = new WrapTable();

describe('the scale', () => {
  it('is tared from the table, or says that it is away', async () => {
    expect(await table.shop.ask('tareScale', {})).toEqual({ ok: true, value: true });
    table.shop.devices.scale.tare = async () => {
      throw new Error('connect ECONNREFUSED');
    };
    expect(await table.shop.ask('tareScale', {})).toMatchObject({ reason: 'scale-away' });
  });
});
