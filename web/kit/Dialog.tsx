import type { ReactNode } from 'react';
import { Dialog as AriaDialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { PHONE } from './theme';

const Veil = styled(ModalOverlay)`
  position: fixed; inset: 0; z-index: 20; background: color-mix(in srgb, var(--plate) 45%, transparent);
  display: flex; align-items: center; justify-content: center;
  ${PHONE} { align-items: flex-end; }
`;
const Card = styled(Modal)`
  width: min(560px, 94vw); max-height: min(92dvh, 900px); overflow: auto; background: var(--paper);
  border: 2px solid var(--ink); border-radius: 4px;
  ${PHONE} { width: 100vw; border-width: 2px 0 0; border-radius: 0; }
`;
const Inside = styled(AriaDialog)`
  padding: 22px 24px 24px; display: flex; flex-direction: column; gap: 16px; outline: none;
  ${PHONE} { padding: 18px 16px 22px; }
`;
const Name = styled(Heading)`font-size: 23px;`;

type Props = { title: string; isOpen: boolean; onClose: () => void; children: ReactNode };

/** A dialog laid over the page; on a phone it comes up from the foot, within thumb reach. */
export function Dialog({ title, isOpen, onClose, children }: Props) {
  return (
    <Veil isOpen={isOpen} onOpenChange={(open) => !open && onClose()} isDismissable>
      <Card>
        <Inside>
          <Name slot="title">{title}</Name>
          {children}
        </Inside>
      </Card>
    </Veil>
  );
}
