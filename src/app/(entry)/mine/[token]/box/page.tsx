import { BoxScreen } from '@/ui/mine/BoxScreen';
import { shown, visit } from '../visit';

export const metadata = { title: 'Your boxes', robots: { index: false, follow: false } };

type Params = { params: Promise<{ token: string }> };

/** The statement of a household as a page, by its private link. */
export default async function BoxPage({ params }: Params) {
  const { token } = await params;
  return visit(token, async (visitor) =>
    shown(visitor, {
      view: 'householdStatementView',
      input: { shareId: visitor.link.shareId },
      show: ({ photos, ...settlement }) => (
        <BoxScreen
          token={token}
          settlement={settlement}
          photos={[...photos].map(([id, jpeg]) => [id, asAddress(jpeg)])}
        />
      ),
    }),
  );
}

/** A photograph that needs no other request. */
function asAddress(jpeg: Uint8Array): string {
  return `data:image/jpeg;base64,${Buffer.from(jpeg).toString('base64')}`;
}
