import type { Schemas } from '../api/client';
import { Choice } from '../kit/Choice';
import { Field, Fields } from '../kit/Field';
import { Fold } from '../kit/Fold';
import { Tick } from '../kit/Tick';

type Service = NonNullable<Schemas['Sheet']['service']>;

/** How a compartment wants to be serviced, as it is being typed; what is empty is as usual. */
export type ServiceDraft = {
  warm: string;
  drip: string;
  run: string;
  purge: string;
  share_first: string;
  fill_to: NonNullable<Service['fill_to']>;
  vents: boolean;
  prefill: boolean;
  seated_by_hand: boolean;
};

const typed = (value: string | number | null | undefined): string => (value == null ? '' : String(value));

export const serviceDraft = (service: Service | undefined): ServiceDraft => ({
  warm: typed(service?.warm),
  drip: typed(service?.drip),
  run: typed(service?.run),
  purge: typed(service?.purge),
  share_first: typed(service?.share_first),
  fill_to: service?.fill_to ?? 'full',
  vents: service?.vents ?? false,
  prefill: service?.prefill ?? true,
  seated_by_hand: service?.seated_by_hand ?? false,
});

/** As it is sent: numbers as they were typed, so that what is none comes back beside its field. */
export const serviceOf = (draft: ServiceDraft): Service =>
  ({
    ...draft,
    warm: draft.warm || null,
    drip: draft.drip || null,
    run: draft.run || null,
    purge: draft.purge || null,
    share_first: draft.share_first || null,
  }) as unknown as Service;

type Props = {
  draft: ServiceDraft;
  onChange: (part: Partial<ServiceDraft>) => void;
  fields: Record<string, string>;
};

/** What the guided service asks of a compartment, where it is otherwise than usual. */
export function ServiceFields({ draft, onChange, fields }: Props) {
  const number = (name: 'warm' | 'drip' | 'run' | 'purge' | 'share_first', label: string, placeholder: string) => (
    <Field
      label={label}
      value={draft[name]}
      onChange={(value) => onChange({ [name]: value })}
      error={fields[`sheet.service.${name}`]}
      placeholder={placeholder}
      inputMode="decimal"
    />
  );
  return (
    <Fold label="How it wants to be serviced" open={draft.run !== '' || draft.vents || draft.seated_by_hand}>
      <Fields $columns={2}>
        {number('warm', 'Warmed before it is drained, min', 'as usual')}
        {number('drip', 'Drips, min', 'as usual')}
      </Fields>
      <Fields $columns={2}>
        {number('run', 'Runs before its level is read, min', 'as usual')}
        {number('share_first', 'Share that is poured first', '0.85')}
      </Fields>
      <Fields $columns={2}>
        {number('purge', 'Cycles to get the air out', 'as usual')}
        <Choice
          label="Filled to"
          value={draft.fill_to}
          onChange={(fill_to) => onChange({ fill_to })}
          options={[
            { value: 'full', label: 'the full mark' },
            { value: 'three_quarters', label: 'three quarters: it blows oil into its air box' },
          ]}
        />
      </Fields>
      <Tick checked={draft.vents} onChange={(vents) => onChange({ vents })}>
        It is filled until its vents run
      </Tick>
      <Tick checked={draft.prefill} onChange={(prefill) => onChange({ prefill })}>
        A filter that hangs upright is filled before it goes on
      </Tick>
      <Tick checked={draft.seated_by_hand} onChange={(seated_by_hand) => onChange({ seated_by_hand })}>
        Its plugs stay seated by hand until the level is right
      </Tick>
    </Fold>
  );
}
