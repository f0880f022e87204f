import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { useWrite } from '../api/useWrite';
import { BottleFields, EMPTY_LABEL, type LabelDraft, labelDraft, labelOf } from '../fluids/BottleFields';
import { Actions, MainButton, PlainButton, QuietActions, QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Field, Fields } from '../kit/Field';
import { FormSheet } from '../kit/FormSheet';
import { Tick } from '../kit/Tick';
import { STOCK } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { useDraft } from '../offline/drafts';
import { Reading } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { supplyQuery } from './queries';

const NO_SIZE = { size: '', price: '' };

type Draft = {
  kind: Schemas['SupplyKind'];
  name: string;
  label: LabelDraft;
  number: string;
  place: string;
  sold_in: (typeof NO_SIZE)[];
  delivery_days: string;
  keeps_months: string;
  code: string;
  retired: boolean;
};

const EMPTY: Draft = {
  kind: 'fluid',
  name: '',
  label: EMPTY_LABEL,
  number: '',
  place: '',
  sold_in: [NO_SIZE],
  delivery_days: '',
  keeps_months: '',
  code: '',
  retired: false,
};

const draftOf = (supply: Schemas['Supply']): Draft => ({
  kind: supply.kind,
  name: supply.name,
  label: supply.label ? labelDraft(supply.label) : EMPTY_LABEL,
  number: supply.number ?? '',
  place: supply.place,
  sold_in: [...supply.sold_in.map(({ size, price }) => ({ size: size ?? '', price: `${price ?? ''}` })), NO_SIZE],
  delivery_days: `${supply.delivery_days ?? ''}`,
  keeps_months: `${supply.keeps_months ?? ''}`,
  code: supply.code,
  retired: supply.retired,
});

/** Writes down something that is kept, or changes what is written down of it. */
export default function SupplyFormPage() {
  const { supply } = useParams();
  const known = useQuery({ ...supplyQuery(Number(supply)), enabled: supply !== undefined });
  if (supply === undefined) return <SupplyForm known={null} />;
  return known.data ? <SupplyForm key={known.data.version} known={known.data} /> : <Reading error={known.error} />;
}

function SupplyForm({ known }: { known: Schemas['Supply'] | null }) {
  const navigate = useNavigate();
  const { told } = useAfterWrite(STOCK);
  const [draft, setDraft, clear] = useDraft(
    known ? `supply.${known.id}.${known.version}` : 'supply.new',
    useMemo(() => (known ? draftOf(known) : EMPTY), [known]),
  );
  const change = (part: Partial<Draft>) => setDraft((before) => ({ ...before, ...part }));
  const fluid = draft.kind === 'fluid';
  const body = (): Schemas['NewSupply'] => ({
    kind: draft.kind,
    name: draft.name,
    ...(fluid ? { label: labelOf(draft.label) } : { number: draft.number || null }),
    place: draft.place,
    sold_in: draft.sold_in
      .filter(({ size, price }) => size.trim() !== '' || price.trim() !== '')
      .map(({ size, price }) => ({ ...(size.trim() !== '' && { size }), price: price.trim() || null })),
    delivery_days: draft.delivery_days.trim() || null,
    ...(fluid && { keeps_months: draft.keeps_months.trim() || null }),
    code: draft.code.trim() || null,
    retired: draft.retired,
  });
  const write = useWrite(
    (header) =>
      answer(
        known
          ? api.PATCH('/supplies/{supply}', {
              params: { path: { supply: known.id }, header: { 'If-Match': `"${known.version}"` } },
              body: body(),
            })
          : api.POST('/supplies', { params: { header }, body: body() }),
      ),
    async (written) => {
      clear();
      await told(`${written.name} is written down.`);
      navigate(`/shelf/${written.id}`);
    },
  );
  const changeSize = (at: number, part: Partial<typeof NO_SIZE>) =>
    change({ sold_in: draft.sold_in.map((one, index) => (index === at ? { ...one, ...part } : one)) });
  return (
    <FormSheet
      title={known ? known.name : 'Keep something new'}
      lead="A fluid by what stands on its bottle, a part by its number."
    >
      {!known && (
        <Choice
          label="It is"
          value={draft.kind}
          onChange={(kind) => change({ kind })}
          options={[
            { value: 'fluid', label: 'a fluid, in containers' },
            { value: 'part', label: 'a part, by the piece' },
          ]}
        />
      )}
      <Fields $columns={2}>
        <Field
          label="What it is called here"
          value={draft.name}
          onChange={(name) => change({ name })}
          error={write.fields.name}
        />
        <Field
          label="Where it stands"
          value={draft.place}
          onChange={(place) => change({ place })}
          error={write.fields.place}
          placeholder="Bay A, low"
        />
      </Fields>
      {fluid ? (
        <BottleFields
          draft={draft.label}
          onChange={(part) => change({ label: { ...draft.label, ...part } })}
          fields={write.fields}
          path="label."
        />
      ) : (
        <Field
          label="The number to ask for"
          value={draft.number}
          onChange={(number) => change({ number })}
          error={write.fields.number}
          help="It meets the numbers that are written down at the machines' places, however its groups are set apart."
        />
      )}
      {(fluid ? draft.sold_in : draft.sold_in.slice(0, 1)).map((row, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows are known by their place alone
        <Fields key={index} $columns={2}>
          {fluid && (
            <Field
              label={index === 0 ? 'Sold in' : 'or in'}
              value={row.size}
              onChange={(size) => changeSize(index, { size })}
              error={write.fields[`sold_in.${index}.size`]}
              placeholder="5 L"
            />
          )}
          <Field
            label="Price of one"
            value={row.price}
            onChange={(price) => changeSize(index, { price })}
            error={write.fields[`sold_in.${index}.price`]}
            inputMode="decimal"
          />
        </Fields>
      ))}
      {fluid && (
        <QuietActions>
          <QuietButton onPress={() => change({ sold_in: [...draft.sold_in, NO_SIZE] })}>Another size</QuietButton>
        </QuietActions>
      )}
      <Fields $columns={3}>
        <Field
          label="Days until it comes"
          value={draft.delivery_days}
          onChange={(delivery_days) => change({ delivery_days })}
          error={write.fields.delivery_days}
          inputMode="numeric"
        />
        {fluid && (
          <Field
            label="Months it keeps once opened"
            value={draft.keeps_months}
            onChange={(keeps_months) => change({ keeps_months })}
            error={write.fields.keeps_months}
            inputMode="numeric"
          />
        )}
        <Field
          label="Code of its label"
          value={draft.code}
          onChange={(code) => change({ code })}
          error={write.fields.code}
          help={known ? undefined : 'Made by the yard where none is given'}
        />
      </Fields>
      {known && (
        <Tick checked={draft.retired} onChange={(retired) => change({ retired })}>
          It is kept no longer
        </Tick>
      )}
      <Refusal
        refused={write.refused}
        besides={Object.keys(write.fields).filter((field) =>
          /^(name|place|label\.|number|sold_in\.|delivery|keeps|code)/.test(field),
        )}
      />
      <Actions>
        <MainButton isDisabled={write.busy} onPress={() => write.send()}>
          {known ? 'Write it down so' : `Keep ${draft.name.trim() || 'it'}`}
        </MainButton>
        <PlainButton onPress={() => navigate(known ? `/shelf/${known.id}` : '/shelf')}>Leave it</PlainButton>
      </Actions>
    </FormSheet>
  );
}
