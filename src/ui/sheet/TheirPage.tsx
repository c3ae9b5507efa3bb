'use client';

import { useCallback, useEffect, useState } from 'react';
import type { LinksView } from '@/server/links';
import type { SheetView } from '@/server/sheet';
import { act } from '../kit/act';
import { Dialog } from '../kit/Dialog';
import { GiveLink, LinkList } from '../kit/GiveLink';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';

const NONE: LinksView = { links: [], sent: [] };

/** The household's own page: given by a private link, seen until when it holds, and ended. */
export function TheirPage({ view, onClose }: { view: SheetView; onClose: () => void }) {
  const { shareId } = view;
  const [value, setValue] = useState(NONE);
  const look = useCallback(
    () => act('linksView', { shareId }).then((answer) => answer.ok && setValue(answer.value)),
    [shareId],
  );
  useEffect(() => void look(), [look]);
  const give = useAsk('giveLink');
  const end = useAsk('endLink');
  return (
    <Dialog title={`A page of their own for ${view.contact.name}`} onClose={onClose} width={600}>
      <p>
        By a private link they fill in the sheet on their telephone, one choice at a time; you see it here as
        they go. Whoever has the link can open it.
      </p>
      <GiveLink
        words="Give them a link"
        busy={give.busy}
        onGive={async (link) => {
          const answer = await give.ask({ shareId, ...link });
          if (answer.ok) await look();
          return answer;
        }}
      />
      <Note failure={give.refusal ?? end.refusal} />
      <LinkList links={value.links} busy={end.busy} onEnd={(linkId) => void end.ask({ linkId }).then(look)} />
      {value.sent.map(({ at, version }) => (
        <p key={version} className="quiet">
          They sent version {version} {at}.
        </p>
      ))}
    </Dialog>
  );
}
