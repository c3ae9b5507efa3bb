import { ask } from '@/app/door';
import { fileResponse } from '@/app/fileResponse';
import { success } from '@/core/quantity/result';

/** The open order file of a share's animal. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ shareId: string }> },
): Promise<Response> {
  const { shareId } = await params;
  const order = await ask('orderFileView', { shareId });
  if (!order.ok) return fileResponse(order);
  const name = `order-${order.value.animal.tag}.json`;
  return fileResponse(success({ name, text: `${JSON.stringify(order.value, null, 2)}\n` }));
}
