import { type ReactNode, useState } from 'react';
import styled from 'styled-components';

const Frame = styled.details`
  border-top: 1px solid var(--rule); border-bottom: 1px solid var(--rule); & + & { border-top: 0; }
  summary { min-height: 48px; display: flex; align-items: center; gap: 10px; cursor: pointer; font-weight: 600; font-size: 16px; color: var(--hedge); list-style: none; }
  summary::before { content: '+'; font-size: 21px; width: 16px; } &[open] summary::before { content: '−'; }
  > div { display: flex; flex-direction: column; gap: 18px; padding: 2px 0 18px; }
`;

/** What is seldom needed, folded away until it is. */
export function Fold({ label, open, children }: { label: string; open: boolean; children: ReactNode }) {
  const [unfolded, setUnfolded] = useState(false);
  return (
    <Frame open={open || unfolded} onToggle={(event) => setUnfolded(event.currentTarget.open)}>
      <summary>{label}</summary>
      <div>{children}</div>
    </Frame>
  );
}
