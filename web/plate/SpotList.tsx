import { Link } from 'react-router';
import styled from 'styled-components';
import { within } from '../kit/format';
import { Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { isFine } from '../offline/states';
import { Stamp } from '../trade/Stamp';
import { KIND_NAMES, KINDS, lookOf, type PlateSpot } from './looks';
import { SpotShape } from './SpotShape';

const Heading = styled.h3`font: 650 15px/1.3 var(--body); color: var(--soft); padding: 12px 20px 4px; ${PHONE} { padding: 12px 14px 4px; }`;
const Row = styled(Link)`
  display: grid; grid-template-columns: 24px minmax(0, 1fr) auto; gap: 2px 12px; align-items: center; min-height: 40px;
  padding: 4px 20px; text-decoration: none; border-bottom: 1px solid var(--rule); font-size: 16px; line-height: 1.25;
  &:hover { background: var(--paper); }
  ${PHONE} { min-height: 52px; padding: 6px 14px; }
`;

type Props = { spots: PlateSpot[]; to: (spot: PlateSpot) => string };

/** The same spots as on the plate, as a list by kind, each in walking order. */
export function SpotList({ spots, to }: Props) {
  return KINDS.map((kind) => {
    const ofKind = spots.filter((spot) => spot.kind === kind);
    if (ofKind.length === 0) return null;
    return (
      <section key={kind} aria-label={KIND_NAMES[kind]}>
        <Heading>
          {KIND_NAMES[kind]}, {ofKind.length}
        </Heading>
        {ofKind.map((spot) => (
          <Row key={spot.key} to={to(spot)}>
            <SpotShape kind={spot.kind} look={lookOf(spot.told)} size={22} />
            <span>
              {spot.name}
              {spot.place && <Soft> {within(spot.place)}</Soft>}
            </span>
            {!isFine(spot.told) && <Stamp state={spot.told} />}
          </Row>
        ))}
      </section>
    );
  });
}
