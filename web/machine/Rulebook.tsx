import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietActions, quietLink } from '../kit/Button';
import { Empty, Line, Margin, Ruled, Soft } from '../kit/Sheet';
import { Stamp } from '../kit/Stamp';
import { KIND_WORDS } from '../kit/words';

const Name = styled.h3`font: 650 17px/1.3 var(--body); display: inline; margin-right: 10px;`;
const RuleLink = styled(Link)`${quietLink}`;
const Row = styled.div`display: flex; justify-content: space-between; gap: 14px; align-items: center;`;
const Note = styled.p`color: var(--straw); font-weight: 600;`;
const Foot = styled.div`padding: 14px 20px; border-top: 1px solid var(--rule); display: flex; flex-wrap: wrap; gap: 6px 24px; justify-content: space-between; align-items: center;`;

type Props = { sheet: Schemas['MachineSheet']; keeper: boolean; mayService: boolean };

/** Every rule with its standing, most urgent first, and its why in the margin. */
export function Rulebook({ sheet, keeper, mayService }: Props) {
  const practice = sheet.rules.some((rule) => rule.common_practice);
  return (
    <>
      {sheet.rules.length === 0 && <Empty>No rule is written down, so nothing can fall due.</Empty>}
      {sheet.rules.map((rule) => (
        <Ruled key={rule.id}>
          <Line>
            <Row>
              <div>
                <Name>{rule.task}</Name>
                <Soft>
                  {KIND_WORDS[rule.kind]} {rule.in_words ? `every ${rule.in_words}` : 'once'}
                  {firstPoints(rule)}
                  {rule.anchor === 'chart' ? ', by the chart' : ''}
                  {rule.common_practice ? ', common practice' : rule.source === 'book' ? ', from the book' : ", keeper's own"}
                </Soft>
                {rule.note && (
                  <div>
                    <Soft>{rule.note}</Soft>
                  </div>
                )}
              </div>
              {rule.standing.state !== 'fresh' && <Stamp state={rule.standing.state} />}
            </Row>
          </Line>
          <Margin>
            <p>{rule.standing.why}</p>
            {rule.standing.notes.map((note) => (
              <Note key={note}>{note}</Note>
            ))}
            <QuietActions>
              {mayService && rule.standing.state !== 'fresh' && <RuleLink to={`service?rules=${rule.id}`}>Record it done</RuleLink>}
              {keeper && (
                <RuleLink to={`rules/${rule.id}`} aria-label={`Change the rule for ${rule.task}`}>
                  Change
                </RuleLink>
              )}
            </QuietActions>
          </Margin>
        </Ruled>
      ))}
      <Foot>
        {keeper && <RuleLink to="rules/new">Add a rule</RuleLink>}
        {practice && <Soft>Figures marked common practice have no source. The maker's manual of this machine wins.</Soft>}
      </Foot>
    </>
  );
}

function firstPoints(rule: Schemas['Rule']): string {
  const points = rule.first.map(({ hours, km, mi, months }) =>
    [hours && `${hours} h`, km && `${km} km`, mi && `${mi} mi`, months && `${months} months`].filter(Boolean).join(' or '),
  );
  return points.length > 0 ? `, first at ${points.join(' and ')}` : '';
}
