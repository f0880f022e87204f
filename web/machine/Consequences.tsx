import { useQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { consequencesQuery } from '../api/queries';
import { useSettled } from '../kit/useSettled';

const Two = styled.fieldset`
  border: 0; padding: 0; margin: 0; display: grid; gap: 8px;
  legend { font-size: 15px; padding: 0 0 6px; }
`;
const One = styled.label`
  display: grid; grid-template-columns: 26px minmax(0, 1fr); gap: 2px 10px; align-items: start; padding: 10px 12px;
  border: 2px solid var(--rule); border-radius: 3px; cursor: pointer; font-size: 15px; line-height: 1.35;
  min-height: 48px;
  input { width: 20px; height: 20px; margin: 1px 0 0; accent-color: var(--hedge); }
  strong { font-size: 16px; }
  span { grid-column: 2; }
  &:has(:checked) { border-color: var(--hedge); }
`;

export type Anchor = 'from_done' | 'chart';

const ANCHORS: { anchor: Anchor; label: string }[] = [
  { anchor: 'from_done', label: 'from the day it was done' },
  { anchor: 'chart', label: "by the chart's multiples" },
];

type Props = {
  name: string;
  legend: string;
  /** Nothing while the rule is not kept yet, and so nothing can follow from it. */
  rule?: number;
  at?: { hours?: string; distance?: string; at?: string };
  value: Anchor;
  onChange: (anchor: Anchor) => void;
};

/** The two ways of counting, each with what follows from it, before one is chosen. */
export function Consequences({ name, legend, rule, at = {}, value, onChange }: Props) {
  const settled = JSON.parse(useSettled(JSON.stringify(at), 300)) as typeof at;
  const told = useQuery({
    ...consequencesQuery(rule ?? 0, settled),
    enabled: rule !== undefined,
    placeholderData: (before) => before,
  });
  return (
    <Two>
      <legend>{legend}</legend>
      {ANCHORS.map(({ anchor, label }) => (
        <One key={anchor}>
          <input type="radio" name={name} checked={value === anchor} onChange={() => onChange(anchor)} />
          <strong>{label}</strong>
          <span>{told.data?.consequences.find((one) => one.anchor === anchor)?.in_words}</span>
        </One>
      ))}
    </Two>
  );
}
