'use client';

import { useCallback, useEffect, useState } from 'react';
import type { ListedLink } from '@/server/links';
import type { FarmSheets } from '@/server/sheet';
import { act } from '../kit/act';
import { Dialog } from '../kit/Dialog';
import { GiveLink, LinkList } from '../kit/GiveLink';
import { Note } from '../kit/Note';
import { useAsk } from '../kit/useAsk';

/** The farm's own page: all its sheets by one private link, to be filled in at home. */
export function FarmLink({ farm, onClose }: { farm: FarmSheets; onClose: () => void }) {
  const personId = farm.id;
  const [links, setLinks] = useState<readonly ListedLink[]>([]);
  const look = useCallback(
    () => act('farmLinksView', { personId }).then((answer) => answer.ok && setLinks(answer.value)),
    [personId],
  );
  useEffect(() => void look(), [look]);
  const give = useAsk('giveFarmLink');
  const end = useAsk('endLink');
  return (
    <Dialog title={`A page of their own for ${farm.name}`} onClose={onClose} width={600}>
      <p>
        By a private link they have this page at home: they fill in sheets, copy them, divide what sells, and
        send their buyers a link to their part. They see names and parts, and no telephone numbers.
      </p>
      <GiveLink
        words="Give them a link"
        busy={give.busy}
        onGive={async (link) => {
          const answer = await give.ask({ personId, ...link });
          if (answer.ok) await look();
          return answer;
        }}
      />
      <Note failure={give.refusal ?? end.refusal} />
      <LinkList links={links} busy={end.busy} onEnd={(linkId) => void end.ask({ linkId }).then(look)} />
    </Dialog>
  );
}
