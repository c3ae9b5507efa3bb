import Joi from 'joi';
import { failure, success } from '@/core/quantity/result';
import { id } from '../cases/fields';
import { defineUseCase, EVERYONE, type House, type UseCase } from '../doorway';
import { orderOf, type Order } from '../orderBook';

/** A view of one share, for everyone who works in the shop. */
export function defineShareView<Output>(
  name: string,
  show: (house: House, order: Order) => Promise<Output>,
): UseCase<{ shareId: string }, Output> {
  return defineUseCase<{ shareId: string }, Output>({
    name,
    roles: EVERYONE,
    writes: false,
    input: Joi.object({ shareId: id }),
    run: async (house, { shareId }) => {
      const order = await orderOf(house.db, shareId);
      if (!order)
        return failure('not-found', 'There is no such share. It may have been booked in another shop.');
      return success(await show(house, order));
    },
  });
}
