import type { ReactNode } from 'react';
import styled from 'styled-components';
import { Lead, Page, Sheet, Soft, Title } from './Sheet';
import { PHONE } from './theme';

const Body = styled.div`
  padding: 20px; max-width: 720px; display: flex; flex-direction: column; gap: 18px; ${PHONE} { padding: 16px 14px; }
`;

/** A place that is one form. */
export function FormSheet({ title, lead, children }: { title: string; lead?: string; children: ReactNode }) {
  return (
    <Page>
      <title>{title}</title>
      <Lead>
        <div>
          <Title>{title}</Title>
          {lead && <Soft>{lead}</Soft>}
        </div>
      </Lead>
      <Sheet>
        <Body>{children}</Body>
      </Sheet>
    </Page>
  );
}
