import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietButton } from '../kit/Button';
import { DayOfYearField } from '../kit/DayOfYearField';
import { Soft } from '../kit/Sheet';
import { Tick } from '../kit/Tick';
import { PHONE } from '../kit/theme';
import { SEVERITY_WORDS } from '../trade/words';

const Group = styled.fieldset`
  border: 0; padding: 0; margin: 0; display: flex; flex-direction: column; gap: 2px;
  legend { font-size: 15px; padding: 0 0 6px; }
`;
const Row = styled.div`
  display: grid; grid-template-columns: 260px minmax(0, 1fr); gap: 4px 16px; align-items: center; min-height: 48px;
  border-top: 1px solid var(--rule); padding: 4px 0;
  ${PHONE} { grid-template-columns: minmax(0, 1fr); }
`;
const Season = styled.div`
  display: grid; grid-template-columns: 64px 1fr 64px 1fr; gap: 10px; align-items: end; > button { grid-column: 1 / -1; }
  ${PHONE} { grid-template-columns: 64px 1fr; }
`;

type Props = {
  marks: Schemas['SeverityMark'][];
  onChange: (marks: Schemas['SeverityMark'][]) => void;
  fields: Record<string, string>;
};

/** What a machine lives under: dust, heat and the rest, all year or in one season. */
export function SeverityFields({ marks, onChange, fields }: Props) {
  const severities = Object.keys(SEVERITY_WORDS) as Schemas['Severity'][];
  const change = (index: number, part: Partial<Schemas['SeverityMark']>) =>
    onChange(marks.map((mark, at) => (at === index ? { ...mark, ...part } : mark)));
  return (
    <Group>
      <legend>What it lives under. The rules that this wears come sooner, by the yard's shares.</legend>
      {severities.map((severity) => {
        const index = marks.findIndex((mark) => mark.severity === severity);
        const mark = marks[index];
        return (
          <Row key={severity}>
            <Tick
              checked={mark !== undefined}
              onChange={() =>
                onChange(mark ? marks.filter((one) => one !== mark) : [...marks, { severity, from: null, to: null }])
              }
            >
              {SEVERITY_WORDS[severity]}
            </Tick>
            {mark &&
              (mark.from && mark.to ? (
                <Season>
                  <DayOfYearField
                    label="from"
                    value={mark.from}
                    onChange={(from) => change(index, { from })}
                    error={fields[`severities.${index}.from`]}
                  />
                  <DayOfYearField
                    label="to"
                    value={mark.to}
                    onChange={(to) => change(index, { to })}
                    error={fields[`severities.${index}.to`]}
                  />
                  <QuietButton onPress={() => change(index, { from: null, to: null })}>All year instead</QuietButton>
                </Season>
              ) : (
                <div>
                  <Soft>all year</Soft>{' '}
                  <QuietButton
                    aria-label={`Only in a season: ${SEVERITY_WORDS[severity]}`}
                    onPress={() => change(index, { from: '05-01', to: '09-30' })}
                  >
                    Only in a season
                  </QuietButton>
                </div>
              ))}
          </Row>
        );
      })}
    </Group>
  );
}
