import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietActions, QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { DayOfYearField } from '../kit/DayOfYearField';
import { Field, Fields } from '../kit/Field';
import { PHONE } from '../kit/theme';
import { KIND_WORDS } from '../trade/words';
import type { RuleDraft } from './ruleDraft';

const Window = styled.div`
  display: grid; grid-template-columns: 1.4fr 80px 1.1fr 80px 1.1fr auto; gap: 10px; align-items: end;
  ${PHONE} { grid-template-columns: 80px 1fr; > :first-child { grid-column: 1 / -1; } }
`;

/** Usual parts of the year: common practice, no source. */
const SEASONS = [
  { name: 'spring', from: '03-01', to: '04-15' },
  { name: 'before storage', from: '10-15', to: '11-30' },
];

type Props = { draft: RuleDraft; change: (part: Partial<RuleDraft>) => void; fields: Record<string, string> };

/** Parts of the year in which a task comes, and what a check must say. */
export function SeasonFields({ draft, change, fields }: Props) {
  const changeWindow = (index: number, part: Partial<RuleDraft['windows'][number]>) =>
    change({ windows: draft.windows.map((window, at) => (at === index ? { ...window, ...part } : window)) });
  return (
    <>
      {draft.windows.map((window, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: windows have no identity of their own
        <Window key={index}>
          <Field
            label="Every year in"
            value={window.name}
            onChange={(name) => changeWindow(index, { name })}
            error={fields[`windows.${index}.name`]}
          />
          <DayOfYearField
            label="from"
            value={window.from}
            onChange={(from) => changeWindow(index, { from })}
            error={fields[`windows.${index}.from`]}
          />
          <DayOfYearField
            label="to"
            value={window.to}
            onChange={(to) => changeWindow(index, { to })}
            error={fields[`windows.${index}.to`]}
          />
          <QuietButton onPress={() => change({ windows: draft.windows.filter((_, at) => at !== index) })}>
            Leave out
          </QuietButton>
        </Window>
      ))}
      <QuietActions>
        {SEASONS.filter((season) => draft.windows.every(({ name }) => name !== season.name)).map((season) => (
          <QuietButton key={season.name} onPress={() => change({ windows: [...draft.windows, season] })}>
            Every {season.name === 'spring' ? 'spring' : `year ${season.name}`}
          </QuietButton>
        ))}
      </QuietActions>
      <Field
        label="Only when a check says so: what must it say"
        value={draft.condition}
        onChange={(condition) => change({ condition })}
        error={fields.condition}
        placeholder="water shows in the bowl"
      />
    </>
  );
}

/** In whose course a task is done, and what is poured back after it. */
export function TogetherFields({ draft, change, fields, others }: Props & { others: Schemas['Rule'][] }) {
  const rules = others.map((other) => ({ value: String(other.id), label: `${other.task}, ${KIND_WORDS[other.kind]}` }));
  return (
    <Fields $columns={2}>
      {others.length > 0 && (
        <Choice
          label="Goes with: done in the course of"
          value={draft.goesWith}
          onChange={(goesWith) => change({ goesWith })}
          options={[{ value: '', label: 'none' }, ...rules]}
          error={fields.goes_with}
        />
      )}
      {draft.kind === 'replace' && (
        <Field
          label="What runs out with it and is poured back (if any)"
          value={draft.topUp}
          onChange={(topUp) => change({ topUp })}
          error={fields.top_up}
          placeholder="1.75 gal"
          help="A filter alone lets out more than it looks in the pan."
        />
      )}
    </Fields>
  );
}
