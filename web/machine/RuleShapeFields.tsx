import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietActions, QuietButton } from '../kit/Button';
import { DayOfYearField } from '../kit/DayOfYearField';
import { Choice, Field, Fields } from '../kit/Field';
import { Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { KIND_WORDS, SUBJECT_WORDS } from '../kit/words';
import type { RuleDraft } from './ruleDraft';

const TickLabel = styled.label`display: flex; gap: 12px; align-items: center; min-height: 44px; cursor: pointer; input { width: 24px; height: 24px; accent-color: var(--hedge); flex: none; }`;
const Window = styled.div`display: grid; grid-template-columns: 1.4fr 80px 1.1fr 80px 1.1fr auto; gap: 10px; align-items: end; ${PHONE} { grid-template-columns: 80px 1fr; > :first-child { grid-column: 1 / -1; } }`;

/** Usual parts of the year: common practice, no source. */
const SEASONS = [
  { name: 'spring', from: '03-01', to: '04-15' },
  { name: 'before storage', from: '10-15', to: '11-30' },
];

type Props = { draft: RuleDraft; change: (part: Partial<RuleDraft>) => void; fields: Record<string, string> };

export function Tick({ checked, onChange, children }: { checked: boolean; onChange: (checked: boolean) => void; children: ReactNode }) {
  return (
    <TickLabel>
      <input type="checkbox" checked={checked} onChange={(event) => onChange(event.target.checked)} />
      {children}
    </TickLabel>
  );
}

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
          <DayOfYearField label="to" value={window.to} onChange={(to) => changeWindow(index, { to })} error={fields[`windows.${index}.to`]} />
          <QuietButton onPress={() => change({ windows: draft.windows.filter((_, at) => at !== index) })}>Leave out</QuietButton>
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

/** How a task hangs together with others, what it is about, and what stays in. */
export function TogetherFields({ draft, change, fields, others }: Props & { others: Schemas['Rule'][] }) {
  const nobody = { value: '', label: 'none' };
  const rules = others.map((other) => ({ value: String(other.id), label: `${other.task}, ${KIND_WORDS[other.kind]}` }));
  return (
    <>
      {others.length > 0 && (
        <Fields $columns={2}>
          <Choice
            label="Goes with: done in the course of"
            value={draft.goesWith}
            onChange={(goesWith) => change({ goesWith })}
            options={[nobody, ...rules]}
            error={fields.goes_with}
          />
          <Choice
            label="Counts as done with the bigger"
            value={draft.containedIn}
            onChange={(containedIn) => change({ containedIn })}
            options={[nobody, ...rules]}
            error={fields.contained_in}
          />
        </Fields>
      )}
      <Fields $columns={2}>
        <Choice
          label="About, for dust and the like"
          value={draft.subject}
          onChange={(subject) => change({ subject })}
          options={[
            { value: '' as const, label: 'as its words say' },
            ...Object.entries(SUBJECT_WORDS).map(([value, label]) => ({ value: value as Schemas['Subject'], label })),
          ]}
          error={fields.subject}
        />
      </Fields>
      {draft.kind === 'replace' && (
        <>
          <Tick checked={draft.keepsFluid} onChange={(keepsFluid) => change({ keepsFluid, topUp: keepsFluid ? draft.topUp : '' })}>
            The filter alone: the fluid stays in
          </Tick>
          {draft.keepsFluid && (
            <Field
              label="What runs out with it and is poured back"
              value={draft.topUp}
              onChange={(topUp) => change({ topUp })}
              error={fields.top_up}
              placeholder="1.75 gal"
              help={<Soft>It is more than it looks in the pan.</Soft>}
            />
          )}
        </>
      )}
    </>
  );
}
