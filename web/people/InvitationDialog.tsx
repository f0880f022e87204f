import { useEffect, useEffectEvent, useState } from 'react';
import styled from 'styled-components';
import { renderSVG } from 'uqr';
import { answer, api, type Schemas } from '../api/client';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { instant } from '../kit/format';
import { Soft } from '../kit/Sheet';
import { useTell } from '../kit/Undo';
import { Refusal } from '../trade/Refusal';

const Code = styled.div`
  display: flex; gap: 20px; align-items: center; flex-wrap: wrap; img { width: 150px; height: 150px; background: #FFFFFF; }
  div { display: flex; flex-direction: column; gap: 4px; }
  strong { font-size: 25px; letter-spacing: 0.04em; font-variant-numeric: tabular-nums; }
`;

/** An invitation, shown this once: held before a phone's camera, copied, or read out. */
export function InvitationDialog({ person, onClose }: { person: Schemas['Person']; onClose: () => void }) {
  const tell = useTell();
  const [made, setMade] = useState<Schemas['Invitation'] | null>(null);
  const invite = useWrite(
    (header) => answer(api.POST('/people/{person}/invitation', { params: { path: { person: person.id }, header } })),
    setMade,
  );
  const open = useEffectEvent(() => void invite.send());
  useEffect(() => open(), []);
  const address = made && window.location.origin + made.path;
  return (
    <Dialog title={`Invite ${person.name}`} isOpen onClose={onClose}>
      {made && address && (
        <>
          <Code>
            <img
              alt="The invitation as a code for a phone's camera"
              src={`data:image/svg+xml,${encodeURIComponent(renderSVG(address, { border: 1 }))}`}
            />
            <div>
              <strong>{made.code}</strong>
              <Soft>holds until {instant(made.ends_at, false)}</Soft>
            </div>
          </Code>
          <p>
            {person.name} holds a phone before it, opens the link, or types the code at the sign-in page, and chooses a
            password. It works once. Any invitation made before it has ended.
          </p>
        </>
      )}
      <Refusal refused={invite.refused} besides={[]} />
      <Actions>
        {address && (
          <MainButton
            onPress={() => navigator.clipboard.writeText(address).then(() => tell('The invitation is copied.'))}
          >
            Copy the link
          </MainButton>
        )}
        <PlainButton onPress={onClose}>Done</PlainButton>
      </Actions>
    </Dialog>
  );
}
