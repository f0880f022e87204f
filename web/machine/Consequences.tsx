import { useQuery } from '@tanstack/react-query';
import { Label, Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { consequencesQuery } from '../api/queries';
import { useSettled } from '../kit/useSettled';

const Two = styled(RadioGroup)`display: grid; gap: 8px; font-size: 15px;`;
const One = styled(Radio)`
  display: grid; grid-template-columns: 26px minmax(0, 1fr); gap: 2px 10px; align-items: start; padding: 10px 12px;
  border: 2px solid var(--rule); border-radius: 3px; cursor: pointer; font-size: 15px; line-height: 1.35;
  min-height: 48px;
  &::before { content: ''; width: 20px; height: 20px; margin-top: 1px; border: 2px solid var(--ink); border-radius: 50%; background: var(--sheet); }
  &[data-selected]::before { box-shadow: inset 0 0 0 3px var(--sheet); background: var(--hedge); }
  &[data-focus-visible] { outline: 3px solid var(--slate); outline-offset: 2px; }
  strong { font-size: 16px; }
  span { grid-column: 2; }
  &[data-selected] { border-color: var(--hedge); }
`;

export type Anchor = 'from_done' | 'chart';

const ANCHORS: { anchor: Anchor; label: string }[] = [
  { anchor: 'from_done', label: 'from the day it was done' },
  { anchor: 'chart', label: "by the chart's multiples" },
];

type Props = {
  legend: string;
  /** Nothing while the rule is not kept yet, and so nothing can follow from it. */
  rule?: number;
  at?: { hours?: string; distance?: string; at?: string };
  value: Anchor;
  onChange: (anchor: Anchor) => void;
};

/** The two ways of counting, each with what follows from it, before one is chosen. */
export function Consequences({ legend, rule, at = {}, value, onChange }: Props) {
  const settled = JSON.parse(useSettled(JSON.stringify(at), 300)) as typeof at;
  const told = useQuery({
    ...consequencesQuery(rule ?? 0, settled),
    enabled: rule !== undefined,
    placeholderData: (before) => before,
  });
  return (
    <Two value={value} onChange={(anchor) => onChange(anchor as Anchor)}>
      <Label>{legend}</Label>
      {ANCHORS.map(({ anchor, label }) => (
        <One key={anchor} value={anchor}>
          <strong>{label}</strong>
          <span>{told.data?.consequences.find((one) => one.anchor === anchor)?.in_words}</span>
        </One>
      ))}
    </Two>
  );
}
