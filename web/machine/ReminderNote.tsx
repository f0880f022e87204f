import { useState } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { Actions, MainButton, PlainButton, QuietButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { longDay, metered, sinceDay } from '../kit/format';
import { Soft } from '../kit/Sheet';
import { useNote } from '../notes/useNote';
import { Amount } from '../trade/Amount';
import { Refusal } from '../trade/Refusal';

const Marked = styled.p`color: var(--clay); font-weight: 600;`;

/** What to set on the machine's own reminder, how it is reset, and whether it agrees with the rulebook. */
export function ReminderNote({ sheet, maySet }: { sheet: Schemas['MachinePage']; maySet: boolean }) {
  const [search, setSearch] = useSearchParams();
  const [setting, setSetting] = useState(false);
  const { countdown, reminder } = sheet;
  const unit = sheet.line.meters[0]?.unit ?? null;
  if (!countdown) return <Soft>In the book since {longDay(sheet.meters[0]?.fitted_on ?? sheet.line.rail.today)}.</Soft>;
  return (
    <>
      <p>
        {countdown.past ? (
          "The machine's own countdown: the point is past."
        ) : (
          <>
            On the machine's own countdown set <strong>{metered(countdown.set, null)}</strong>.
          </>
        )}
      </p>
      <Soft>{countdown.why}</Soft>
      {reminder?.disagrees && <Marked>{reminder.disagrees}</Marked>}
      {reminder && !reminder.disagrees && (
        <Soft>
          Set to {metered(reminder.set, unit)} {sinceDay(reminder.set_on, sheet.line.rail.today)}
          {reminder.by ? ` by ${reminder.by}` : ''}; it agrees with the rulebook.
        </Soft>
      )}
      {maySet && !countdown.past && <QuietButton onPress={() => setSetting(true)}>Tick it as set</QuietButton>}
      {(setting || search.has('reminder')) && maySet && !countdown.past && (
        <SetDialog
          sheet={sheet}
          set={countdown.set}
          onClose={() => {
            setSetting(false);
            setSearch({}, { replace: true });
          }}
        />
      )}
    </>
  );
}

function SetDialog({ sheet, set, onClose }: { sheet: Schemas['MachinePage']; set: string; onClose: () => void }) {
  const [value, setValue] = useState(set);
  const unit = sheet.line.meters[0]?.unit ?? 'h';
  const told = `${sheet.name}: reminder set to ${metered(value, unit)}`;
  const write = useNote(() => `${told}.`, onClose);
  return (
    <Dialog title={`${sheet.name}: its own reminder`} isOpen onClose={onClose}>
      {sheet.reset_note ? (
        <p>{sheet.reset_note}</p>
      ) : (
        <Soft>
          How it is reset is not written down yet. Keep it with the machine's record, so that the next person need not
          find it again.
        </Soft>
      )}
      <Amount
        label="Set to"
        unit={unit}
        value={value}
        from={set}
        step={String(Number(sheet.countdown_step))}
        onChange={setValue}
        error={write.fields.set}
        autoFocus
      />
      <Refusal refused={write.refused} besides={['set']} />
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() => write.tell({ kind: 'reminder', machine_id: sheet.id, set: value || set }, told)}
        >
          It is set
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
