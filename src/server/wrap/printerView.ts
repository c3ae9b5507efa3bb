import Joi from 'joi';
import { success } from '@/core/quantity/result';
import { labelsWaiting } from '@/data/wrap';
import { defineUseCase, STAFF } from '../house/useCase';

/** How it goes with the label printer: how many labels wait, and what hinders it; empty while nothing does. */
export type PrinterView = { readonly waiting: number; readonly trouble: string };

export const printerView = defineUseCase<Record<string, never>, PrinterView>({
  name: 'printerView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async ({ db }) => success(await labelsWaiting(db)),
});
