import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { walkQuery } from '../api/queries';
import { quietLink } from '../kit/Button';
import { sinceDay } from '../kit/format';
import { HandsHead, HandsPage, Question, StoodDownPlate } from '../kit/Hands';
import { Caution, Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { ReadingInHands, useKnownName } from '../trade/Reading';
import { Stamp } from '../trade/Stamp';

const Kinds = styled.nav`display: flex; flex-direction: column; gap: 10px;`;
const Kind = styled(Link)`
  display: flex; justify-content: space-between; align-items: center; gap: 14px; min-height: 64px; padding: 8px 16px;
  border: 2px solid var(--ink); border-radius: 3px; background: var(--sheet); text-decoration: none; font-weight: 650;
  font-size: 18px;
  span { font-weight: 450; font-size: 16px; color: var(--soft); white-space: nowrap; }
  &:first-child { background: var(--hedge); border-color: var(--hedge); color: var(--on-hedge); }
  &:first-child span { color: inherit; }
`;
const Open = styled.ul`
  display: flex; flex-direction: column; gap: 8px;
  li { display: grid; grid-template-columns: auto 1fr; gap: 12px; align-items: center; font-size: 17px; }
  ${PHONE} { gap: 14px; li { grid-template-columns: minmax(0, 1fr); gap: 4px; } }
`;
const BackLink = styled(Link)`${quietLink} align-self: flex-start;`;

/** Where a label leads: which round of this machine it shall be. */
export default function StartPage() {
  const machine = Number(useParams().machine);
  const known = useKnownName();
  const walk = useQuery(walkQuery(machine));
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (walk.data) heading.current?.focus();
  }, [walk.data]);
  if (!walk.data) return <ReadingInHands title={known} error={walk.error} />;
  const { name, class_label, place, stood_down, findings, rounds, grease, today } = walk.data;
  const due = grease.points.filter((point) => point.due).length;
  return (
    <HandsPage>
      <title>{`Walk round ${name}`}</title>
      <HandsHead>
        <h1>{name}</h1>
        <span>
          {class_label}, {place}
        </span>
      </HandsHead>
      {stood_down && (
        <StoodDownPlate>
          <p>
            Stood down {sinceDay(stood_down.on, today)}
            {stood_down.by && ` by ${stood_down.by}`}: {stood_down.because} Nobody may use it until a keeper or mechanic
            lifts this.
          </p>
        </StoodDownPlate>
      )}
      <Question>
        <h2 ref={heading} tabIndex={-1}>
          Which round?
        </h2>
        <Kinds aria-label="Rounds">
          {rounds
            .filter(({ keys }) => keys.length > 0)
            .map(({ kind, label, keys }) => (
              <Kind key={kind} to={`/walkaround/${machine}/${kind}`}>
                {label.charAt(0).toUpperCase() + label.slice(1)}
                <span>
                  {keys.length} {keys.length === 1 ? 'check' : 'checks'}
                </span>
              </Kind>
            ))}
          {grease.points.length > 0 && (
            <Kind to={`/walkaround/${machine}/grease`}>
              Grease round
              <span>
                {grease.points.length} points, {due} due
              </span>
            </Kind>
          )}
        </Kinds>
        <BackLink to={`/walkaround/${machine}/found`}>Something else is wrong with it</BackLink>
        {findings.length > 0 && (
          <>
            <p>Asked first, because they were found before:</p>
            <Open aria-label="Open findings">
              {findings.map((finding) => (
                <li key={finding.check}>
                  <Stamp state={finding.verdict} />
                  <Link to={`/machines/${machine}/findings/${finding.check}`}>{finding.title}</Link>
                </li>
              ))}
            </Open>
          </>
        )}
        <Caution>Level ground, brake on, implement down. The maker’s manual wins over anything said here.</Caution>
        <Soft>What is noted is kept on this device and sent when there is signal.</Soft>
        <BackLink to="/walkaround">Another machine</BackLink>
      </Question>
    </HandsPage>
  );
}
