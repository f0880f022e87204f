import type { ReactNode } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { isFine } from '../offline/states';
import { Mark } from './Marks';
import { Stamp } from './Stamp';
import { Takes } from './Takes';
import { stateWords } from './words';

type Story = Schemas['SpotStory'];

/** What is known of one thing, row by row, each under its name. */
export const Rows = styled.dl`
  > div { display: grid; grid-template-columns: 96px minmax(0, 1fr); gap: 12px; padding: 9px 0; border-top: 1px solid var(--rule); }
  dt { color: var(--soft); font-size: 15px; }
  dd { font-size: 16px; line-height: 1.32; display: flex; flex-direction: column; gap: 5px; overflow-wrap: anywhere; }
  ${PHONE} { > div { grid-template-columns: minmax(0, 1fr); gap: 2px; } }
`;

export function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}

export function DueRules({ rules }: { rules: Story['rules'] }) {
  return rules.map((rule) => (
    <span key={rule.id}>
      <Mark kind={rule.kind} /> <strong>{rule.task}</strong>
      {!isFine(rule.standing.state) && `, ${stateWords(rule.standing.state)}`}: {rule.standing.why}{' '}
      {rule.standing.when_in_words && <Soft>{rule.standing.when_in_words}</Soft>}
    </span>
  ));
}

export function FoundRow({ findings, machine }: { findings: Story['findings']; machine: number }) {
  return (
    <Row name="Found">
      {findings.map((finding) => (
        <span key={finding.check}>
          <Stamp state={finding.verdict} />{' '}
          <Link to={`/machines/${machine}/findings/${finding.check}`}>{finding.title}</Link>:{' '}
          {finding.why || finding.note} {finding.do}
        </span>
      ))}
    </Row>
  );
}

export function TakesRow({ takes }: { takes: Story['takes'] }) {
  return (
    <Row name="The job takes">
      {takes.map((task) => (
        <span key={task.rule_id}>
          <Takes of={task} />
        </span>
      ))}
    </Row>
  );
}

export function UsesRows({ consumption }: { consumption: Story['consumption'] }) {
  return consumption.map((used) => (
    <Row key={used.spot} name="Uses">
      <span>
        <strong>{used.per_100h} per 100 h</strong>. {used.why}
      </span>
    </Row>
  ));
}
