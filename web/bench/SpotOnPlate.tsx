import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { Drawing } from '../plate/Drawing';
import type { Step } from './told';

const Frame = styled.figure<{ $small: boolean }>`
  position: relative; width: 100%; max-width: ${({ $small }) => ($small ? 156 : 340)}px; aspect-ratio: 200 / 116; background: var(--sheet); border: 1px solid var(--rule);
  > svg { position: absolute; inset: 0; width: 100%; height: 100%; } > svg * { vector-effect: non-scaling-stroke; }
`;
const Lit = styled.span<{ $small: boolean }>`
  position: absolute; width: ${({ $small }) => ($small ? 18 : 26)}px; aspect-ratio: 1; transform: translate(-50%, -50%); border: 4px solid var(--clay); border-radius: 50%;
  background: color-mix(in srgb, var(--straw) 45%, transparent); box-shadow: 0 0 0 6px color-mix(in srgb, var(--straw) 35%, transparent);
`;
const Nose = styled.figcaption`position: absolute; left: 6px; bottom: 1px; font-size: 13px; color: var(--soft);`;

type Props = { of: Schemas['MachineClass']; spot: NonNullable<Step['spot']>; small?: boolean };

/** The machine from above with the spot of this step lit. */
export function SpotOnPlate({ of, spot, small = false }: Props) {
  return (
    <Frame $small={small} aria-label={`Where: ${[spot.place, spot.reach].filter(Boolean).join('. ')}`}>
      <Drawing of={of} />
      <Lit $small={small} style={{ left: `${spot.x}%`, top: `${spot.y}%` }} />
      {!small && <Nose>nose left</Nose>}
    </Frame>
  );
}
