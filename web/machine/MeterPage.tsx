import { useNavigate, useSearchParams } from 'react-router';
import { problemOf, type Schemas } from '../api/client';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { DayField } from '../kit/DayField';
import { Field } from '../kit/Field';
import { FormSheet } from '../kit/FormSheet';
import { metered } from '../kit/format';
import { Page } from '../kit/Sheet';
import { useNote } from '../notes/useNote';
import { useDraft } from '../offline/drafts';
import { Amount } from '../trade/Amount';
import { AskAgain, asksAgain } from '../trade/AskAgain';
import { Reading, useKnownName } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { useMachine } from '../trade/useMachine';

const NOTHING = { old_value: '', new_value: '', run: '', at: '', note: '', reason: '' };

/** A machine gets another meter; what it has run goes on without a break. */
export default function MeterPage() {
  const machine = useMachine();
  const known = useKnownName();
  if (!machine.data) return <Reading title={known} error={machine.error} />;
  return <MeterForm sheet={machine.data} />;
}

function MeterForm({ sheet }: { sheet: Schemas['MachinePage'] }) {
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const kind = search.get('meter') === 'distance' ? 'distance' : 'hours';
  const meter = sheet.line.meters.find(({ unit }) => (unit === 'h') === (kind === 'hours')) ?? sheet.line.meters[0];
  const [draft, setDraft, clear] = useDraft(`meter.${sheet.id}.${kind}`, NOTHING);
  const change = (part: Partial<typeof NOTHING>) => setDraft((before) => ({ ...before, ...part }));
  const replace = useNote(
    () => `${sheet.name}: meter replaced.`,
    () => {
      clear();
      navigate(`/machines/${sheet.id}`);
    },
  );
  if (!meter) return <Page>This machine has no meter.</Page>;
  const send = (part: Partial<typeof NOTHING> = {}, reason: string | null = null) => {
    const { old_value, new_value, run, at, note } = { ...draft, ...part };
    const told = {
      kind: 'meter' as const,
      machine_id: sheet.id,
      meter: kind as Schemas['MeterKind'],
      old_value: old_value || null,
      new_value,
      run: run || null,
      on: at || null,
      note: note || null,
      confirmed_because: reason,
    };
    return replace.tell(told, `${sheet.name}: meter replaced, it shows ${new_value}`);
  };
  const doubted = asksAgain(replace.refused) ? replace.refused : null;
  return (
    <FormSheet
      title={`Replace the ${kind === 'hours' ? 'hour meter' : 'odometer'} of ${sheet.name}`}
      lead={`It last showed ${metered(meter.value, meter.unit)}; the machine has run ${metered(meter.run, meter.unit)} in all.`}
    >
      <Amount
        label="The old meter showed last"
        unit={meter.unit}
        value={draft.old_value}
        from={meter.value}
        step={meter.unit === 'h' ? '0.1' : '1'}
        onChange={(old_value) => change({ old_value })}
        help="Leave it empty if its last reading stands."
        error={doubted ? undefined : replace.fields.old_value}
      />
      {doubted && (
        <AskAgain
          refused={doubted}
          typed={problemOf(doubted).typed ?? draft.old_value}
          reason={draft.reason}
          onReason={(reason) => change({ reason })}
          onSuggestion={(value) => {
            change({ old_value: value });
            send({ old_value: value });
          }}
          onConfirm={() => send({}, draft.reason)}
        />
      )}
      <Amount
        label="The new meter shows"
        unit={meter.unit}
        value={draft.new_value}
        from="0"
        step={meter.unit === 'h' ? '0.1' : '1'}
        onChange={(new_value) => change({ new_value })}
        error={replace.fields.new_value}
      />
      <Field
        label={`Run in all, ${meter.unit}, if the old meter had stopped`}
        inputMode="decimal"
        value={draft.run}
        onChange={(run) => change({ run })}
        error={replace.fields.run}
        help="Leave it empty if the old meter was right to the end."
      />
      <DayField
        today={sheet.line.rail.today}
        value={draft.at}
        onChange={(at) => change({ at })}
        error={replace.fields.on}
      />
      <Field
        label="Note, if any"
        value={draft.note}
        onChange={(note) => change({ note })}
        error={replace.fields.note}
      />
      <Refusal refused={doubted ? null : replace.refused} besides={[...Object.keys(NOTHING), 'on']} />
      <Actions>
        <MainButton isDisabled={replace.busy} onPress={() => send()}>
          Replace the meter
        </MainButton>
        <PlainButton onPress={() => navigate(`/machines/${sheet.id}`)}>Leave it</PlainButton>
      </Actions>
    </FormSheet>
  );
}
