import { useMemo } from 'react';
import { asksWhy, type Schemas } from '../api/client';
import { usePerson } from '../api/usePerson';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Dialog } from '../kit/Dialog';
import { Field, Fields } from '../kit/Field';
import { Fold } from '../kit/Fold';
import { within } from '../kit/format';
import { Ticks } from '../kit/Tick';
import { useNote } from '../notes/useNote';
import { useDraft } from '../offline/drafts';
import { Refusal } from '../trade/Refusal';
import { usePours } from '../trade/usePours';
import { SEEN } from './words';

export type FluidAct = 'topped_up' | 'drained' | 'filled' | 'changed' | 'sampled';

type Props = {
  machine: number;
  machineName: string;
  spot: string;
  name: string;
  /** What is begun with. */
  act?: FluidAct;
  onClose: () => void;
};

const DONE: Record<FluidAct, string> = {
  topped_up: 'topped up',
  drained: 'drained',
  filled: 'filled',
  changed: 'changed: drained and filled',
  sampled: 'sampled',
};
const PRESS: Record<FluidAct, string> = {
  topped_up: 'went in',
  drained: 'came out',
  filled: 'was filled in',
  changed: 'is in it now',
  sampled: 'was taken',
};

const EMPTY = {
  act: 'topped_up' as FluidAct,
  amount: '',
  fluid: '',
  seen: [] as Schemas['Seen'][],
  note: '',
  because: '',
};

/** Notes what went into a compartment or out of it, and what it looked like. */
export function FluidDialog({ machine, machineName, spot, name, act: begins = 'topped_up', onClose }: Props) {
  const person = usePerson();
  const initial = useMemo(() => ({ ...EMPTY, act: begins }), [begins]);
  const [draft, setDraft, clear] = useDraft(`fluid.${machine}.${spot}.${begins}`, initial);
  const change = (part: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...part }));
  const { choices, poured } = usePours();
  const words = `${machineName}: ${within(name)} ${DONE[draft.act]}`;
  const write = useNote(
    () => `${words}.`,
    () => {
      clear();
      onClose();
    },
  );
  const mayService = person.role === 'keeper' || person.role === 'mechanic';
  const pours = draft.act === 'topped_up' || draft.act === 'filled' || draft.act === 'changed';
  const asked = asksWhy(write.refused?.problem);
  const told = {
    machine_id: machine,
    spot,
    ...(draft.amount.trim() !== '' && { amount: draft.amount }),
    ...(pours && poured(draft.fluid)),
    ...(draft.seen.length > 0 && { seen: draft.seen }),
    note: draft.note || null,
    confirmed_because: asked ? draft.because || null : null,
  };
  return (
    <Dialog title={`${name} of ${machineName}`} isOpen onClose={onClose}>
      {mayService && (
        <Choice
          label="It was"
          value={draft.act}
          onChange={(act) => change({ act })}
          options={(Object.entries(DONE) as [FluidAct, string][]).map(([value, label]) => ({ value, label }))}
        />
      )}
      <Fields $columns={2}>
        <Field
          label={draft.act === 'drained' || draft.act === 'sampled' ? 'How much came out' : 'How much went in'}
          value={draft.amount}
          onChange={(amount) => change({ amount })}
          error={write.fields.amount ?? write.fields.spot}
          help="With its unit: 0.3 qt, 350 ml"
          placeholder="0.3 qt"
          autoFocus
        />
        {pours && (
          <Choice
            label="Of what"
            value={draft.fluid}
            onChange={(fluid) => change({ fluid })}
            options={choices}
            error={write.fields.fluid ?? write.fields.container}
          />
        )}
      </Fields>
      <Fold
        label={draft.act === 'topped_up' ? 'What it looks like' : 'What the old looked like'}
        open={draft.seen.length > 0}
      >
        <Ticks label="Seen" quiet inLine value={draft.seen} onChange={(seen) => change({ seen })} options={SEEN} />
      </Fold>
      <Field
        label="Anything to say about it"
        value={draft.note}
        onChange={(note) => change({ note })}
        error={write.fields.note}
      />
      <Refusal refused={write.refused} besides={['amount', 'spot', 'note', 'fluid', 'container']} />
      {asked && (
        <Field
          label="Why it is right all the same (if it is)"
          value={draft.because}
          onChange={(because) => change({ because })}
          error={write.fields.confirmed_because}
        />
      )}
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() =>
            write.tell(
              draft.act === 'topped_up'
                ? { kind: 'top_up', ...told, amount: draft.amount }
                : { kind: 'fluid', act: draft.act, ...told },
              words,
            )
          }
        >
          {draft.amount.trim() === '' ? `It is ${DONE[draft.act]}` : `${draft.amount.trim()} ${PRESS[draft.act]}`}
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
