import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietActions, QuietButton, quietLink } from '../kit/Button';
import { within } from '../kit/format';
import { Mark } from '../kit/Marks';
import { Empty, Line, Margin, Ruled, Soft } from '../kit/Sheet';
import { ToldStamp } from '../kit/Stamp';
import { PHONE } from '../kit/theme';
import { KIND_WORDS } from '../kit/words';
import { RuleNoteDialog } from './RuleNoteDialog';

const Name = styled.h3`font: 650 17px/1.3 var(--body); display: inline; margin-right: 10px; svg { margin-right: 8px; }`;
const RuleLink = styled(Link)`${quietLink}`;
const Row = styled.div`
  display: flex; justify-content: space-between; gap: 14px; align-items: center;
  ${PHONE} { flex-direction: column-reverse; align-items: flex-start; gap: 8px; }
`;
const Note = styled.p`color: var(--straw); font-weight: 600;`;
const Marked = styled.p`color: var(--clay); font-weight: 600;`;
const Foot = styled.div`
  padding: 14px 20px; border-top: 1px solid var(--rule); display: flex; flex-wrap: wrap; gap: 6px 24px;
  justify-content: space-between; align-items: center;
`;

type Props = { sheet: Schemas['MachinePage']; keeper: boolean; mayService: boolean; mayLog: boolean };
type Noting = { what: 'skip' | 'call'; rule: Schemas['Rule'] } | null;

/** Every rule with its standing, most urgent first, and its why in the margin. */
export function Rulebook({ sheet, keeper, mayService, mayLog }: Props) {
  const [noting, setNoting] = useState<Noting>(null);
  const practice = sheet.rules.some((rule) => rule.common_practice);
  return (
    <>
      {sheet.rules.length === 0 && <Empty>No rule is written down, so nothing can fall due.</Empty>}
      {sheet.rules.map((rule) => (
        <Ruled key={rule.id}>
          <Line>
            <Row>
              <div>
                <Name>
                  <Mark kind={rule.kind} />
                  {rule.task}
                </Name>
                <Soft>{described(rule, sheet)}</Soft>
                {rule.note && (
                  <div>
                    <Soft>{rule.note}</Soft>
                  </div>
                )}
                {rule.top_up_in_words && (
                  <div>
                    <Soft>The fluid stays in; pour back the {rule.top_up_in_words} that ran out with the filter.</Soft>
                  </div>
                )}
              </div>
              {rule.told !== 'fresh' && <ToldStamp told={rule.told} />}
            </Row>
          </Line>
          <Margin>
            <p>{rule.standing.why}</p>
            {rule.findings.map((finding) => (
              <p key={finding.check}>
                <Link to={`findings/${finding.check}`}>{finding.title}</Link>: {finding.why || finding.note}{' '}
                {finding.do}
              </p>
            ))}
            {rule.standing.when_in_words && <Soft>{rule.standing.when_in_words}</Soft>}
            {rule.standing.notes.map((note) => (
              <Note key={note}>{note}</Note>
            ))}
            {rule.warranty && <Marked>{rule.warranty}</Marked>}
            <QuietActions>
              {mayService && rule.standing.state !== 'fresh' && (
                <RuleLink to={`service?rules=${rule.id}`} aria-label={`Record it done: ${rule.task}`}>
                  Record it done
                </RuleLink>
              )}
              {keeper && (
                <RuleLink to={`rules/${rule.id}`} aria-label={`Change the rule for ${rule.task}`}>
                  Change
                </RuleLink>
              )}
              {mayService && rule.standing.limiting && rule.standing.state !== 'fresh' && (
                <QuietButton
                  aria-label={`Skip this time: ${rule.task}`}
                  onPress={() => setNoting({ what: 'skip', rule })}
                >
                  Skip this time
                </QuietButton>
              )}
              {mayLog && rule.condition && rule.standing.state === 'fresh' && (
                <QuietButton
                  aria-label={`A check calls for it: ${rule.task}`}
                  onPress={() => setNoting({ what: 'call', rule })}
                >
                  A check calls for it
                </QuietButton>
              )}
            </QuietActions>
          </Margin>
        </Ruled>
      ))}
      <Foot>
        {keeper && (
          <QuietActions>
            <RuleLink to="rules/new">Add a rule</RuleLink>
            <RuleLink to="chart">The chart: all rules at once</RuleLink>
          </QuietActions>
        )}
        {!keeper && <RuleLink to="chart">The chart: all rules at once</RuleLink>}
        {practice && (
          <Soft>Figures marked common practice have no source. The maker's manual of this machine wins.</Soft>
        )}
        {sheet.left_out.length > 0 && (
          <Soft>
            Left out of the shared rulebook {sheet.shared_rulebook?.name}: {sheet.left_out.join(', ')}.
          </Soft>
        )}
      </Foot>
      {noting && <RuleNoteDialog {...noting} machine={sheet.line} onClose={() => setNoting(null)} />}
    </>
  );
}

function described(rule: Schemas['Rule'], sheet: Schemas['MachinePage']): string {
  const named = (id: number | null) => within(sheet.rules.find((other) => other.id === id)?.task ?? '');
  const source = rule.common_practice ? 'common practice' : rule.source === 'book' ? 'from the book' : "keeper's own";
  const shared = { shared: 'shared', exception: `exception from ${sheet.shared_rulebook?.name}`, own: '' }[
    rule.shared ?? 'own'
  ];
  return [
    [KIND_WORDS[rule.kind], rule.in_words].filter(Boolean).join(' '),
    rule.goes_with && `with ${named(rule.goes_with)}`,
    rule.anchor === 'chart' && 'by the chart',
    source,
    shared,
  ]
    .filter(Boolean)
    .join(', ');
}
