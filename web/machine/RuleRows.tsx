import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { usePerson } from '../api/usePerson';
import { QuietActions, QuietButton, quietLink } from '../kit/Button';
import { within } from '../kit/format';
import { Line, Margin, Ruled, Soft } from '../kit/Sheet';
import { isFine } from '../offline/states';
import { Mark } from '../trade/Marks';
import { mayUse } from '../trade/mayUse';
import { Stamp } from '../trade/Stamp';
import { KIND_WORDS } from '../trade/words';
import { RuleNoteDialog } from './RuleNoteDialog';

const Name = styled.h3`font: 650 17px/1.3 var(--body); display: inline; margin-right: 10px; svg { margin-right: 8px; }`;
const RuleLink = styled(Link)`${quietLink}`;
const Row = styled.div`display: flex; flex-wrap: wrap; justify-content: space-between; gap: 2px 20px; align-items: baseline;`;
const Note = styled.p`color: var(--straw); font-weight: 600;`;
const Marked = styled.p`color: var(--clay); font-weight: 600;`;
const Can = styled.div`display: flex; flex-wrap: wrap; gap: 2px 20px; align-items: center;`;
const Of = styled(Line)`justify-content: flex-start; gap: 2px;`;

type Noting = { what: 'skip' | 'call'; rule: Schemas['Rule'] } | null;
type Props = { sheet: Schemas['MachinePage']; rules: Schemas['ToldRule'][] };

/** Rules with what they say, most urgent first: the task, what can be done about it, and its why in the margin. */
export function RuleRows({ sheet, rules }: Props) {
  const person = usePerson();
  const keeper = person.role === 'keeper';
  const mayService = keeper || person.role === 'mechanic';
  const mayLog = mayUse(person, sheet.id);
  const [noting, setNoting] = useState<Noting>(null);
  const to = `/machines/${sheet.id}`;
  return (
    <>
      {rules.map((rule) => (
        <Ruled key={rule.id}>
          <Of>
            <Row>
              <Name>
                <Mark kind={rule.kind} />
                {rule.task}
              </Name>
              <Can>
                <QuietActions>
                  {mayService && !isFine(rule.standing.state) && (
                    <RuleLink to={`${to}/service?rules=${rule.id}`} aria-label={`Record it done: ${rule.task}`}>
                      Record it done
                    </RuleLink>
                  )}
                  {mayService && rule.standing.limiting && !isFine(rule.standing.state) && (
                    <QuietButton
                      aria-label={`Skip this time: ${rule.task}`}
                      onPress={() => setNoting({ what: 'skip', rule })}
                    >
                      Skip this time
                    </QuietButton>
                  )}
                  {mayLog && rule.condition && isFine(rule.standing.state) && (
                    <QuietButton
                      aria-label={`A check calls for it: ${rule.task}`}
                      onPress={() => setNoting({ what: 'call', rule })}
                    >
                      A check calls for it
                    </QuietButton>
                  )}
                  {keeper && (
                    <RuleLink to={`${to}/rules/${rule.id}`} aria-label={`Change the rule for ${rule.task}`}>
                      Change
                    </RuleLink>
                  )}
                </QuietActions>
                {!isFine(rule.told) && <Stamp state={rule.told} />}
              </Can>
            </Row>
            <Soft>
              {described(rule, sheet)}
              {rule.note && `. ${rule.note}`}
              {rule.top_up_in_words &&
                ` The fluid stays in; pour back the ${rule.top_up_in_words} that ran out with the filter.`}
            </Soft>
          </Of>
          <Margin>
            <p>
              {rule.standing.why} {rule.standing.when_in_words && <Soft>{rule.standing.when_in_words}</Soft>}
            </p>
            {rule.findings.map((finding) => (
              <p key={finding.check}>
                <Link to={`${to}/findings/${finding.check}`}>{finding.title}</Link>: {finding.why || finding.note}{' '}
                {finding.do}
              </p>
            ))}
            {rule.standing.notes.map((note) => (
              <Note key={note}>{note}</Note>
            ))}
            {rule.warranty && <Marked>{rule.warranty}</Marked>}
          </Margin>
        </Ruled>
      ))}
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
