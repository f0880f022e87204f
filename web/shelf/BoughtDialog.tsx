import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import DayPick from '../kit/DayPick';
import { Dialog } from '../kit/Dialog';
import { Field, Fields } from '../kit/Field';
import { Fold } from '../kit/Fold';
import { Tick } from '../kit/Tick';
import { useNote } from '../notes/useNote';
import { Refusal } from '../trade/Refusal';

type Props = {
  of: Pick<Schemas['Purchase'], 'supply_id' | 'kind' | 'name' | 'number' | 'size' | 'count'>;
  currency: string;
  onClose: () => void;
};

/** Tells that something came to the shelf. */
export function BoughtDialog({ of, currency, onClose }: Props) {
  const [draft, setDraft] = useState({
    name: of.name,
    size: of.size ?? '',
    count: `${of.count ?? 1}`,
    price: '',
    use_by: '',
    was_there: false,
  });
  const change = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
  const write = useNote((entry) => `${entry?.in_words}.`, onClose);
  const isNew = of.supply_id === null;
  const fluid = of.kind === 'fluid';
  const words = `${draft.count} × ${fluid ? `${draft.size} ` : ''}${draft.name}`;
  return (
    <Dialog title={`${of.name}: came to the shelf`} isOpen onClose={onClose}>
      {isNew && (
        <Field
          label={`What ${of.number} is called here`}
          value={draft.name}
          onChange={(name) => change({ name })}
          error={write.fields['new.name']}
        />
      )}
      <Fields $columns={fluid ? 3 : 2}>
        <Field
          label="How many"
          value={draft.count}
          onChange={(count) => change({ count })}
          error={write.fields.count}
          inputMode="numeric"
          autoFocus
        />
        {fluid && (
          <Field
            label="Of what size"
            value={draft.size}
            onChange={(size) => change({ size })}
            error={write.fields.size}
            placeholder="5 L"
          />
        )}
        <Field
          label={`Price of one${currency ? `, ${currency}` : ''}, if known`}
          value={draft.price}
          onChange={(price) => change({ price })}
          error={write.fields.price}
          inputMode="decimal"
        />
      </Fields>
      <Fold label="Use-by day, or it stood there already" open={draft.use_by !== '' || draft.was_there}>
        {fluid && (
          <DayPick
            label="The day printed on it"
            value={draft.use_by}
            onChange={(use_by) => change({ use_by })}
            error={write.fields.use_by}
          />
        )}
        <Tick checked={draft.was_there} onChange={(was_there) => change({ was_there })}>
          It stood there already and was never written down
        </Tick>
      </Fold>
      <Refusal refused={write.refused} besides={['count', 'size', 'price', 'use_by', 'new.name']} />
      <Actions>
        <MainButton
          isDisabled={write.busy}
          onPress={() =>
            write.tell(
              {
                kind: 'bought',
                ...(of.supply_id === null
                  ? { new: { name: draft.name, number: of.number ?? of.name } }
                  : { supply: of.supply_id }),
                count: draft.count,
                ...(fluid && { size: draft.size }),
                ...(draft.price.trim() !== '' && { price: draft.price }),
                ...(draft.use_by !== '' && { use_by: draft.use_by }),
                ...(draft.was_there && { was_there: true }),
              },
              words,
            )
          }
        >
          {`Put ${words} on the shelf`}
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
