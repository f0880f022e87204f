import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton, QuietActions, QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Field, Fields } from '../kit/Field';
import { Fold } from '../kit/Fold';
import { FormSheet } from '../kit/FormSheet';
import { within } from '../kit/format';
import { Soft } from '../kit/Sheet';
import { sheetOf } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { useDraft } from '../offline/drafts';
import { Reading } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { compartmentQuery, compartmentsQuery } from './queries';
import { type ServiceDraft, ServiceFields, serviceDraft, serviceOf } from './ServiceFields';
import {
  type SpecificationDraft,
  SpecificationFields,
  specificationDraft,
  specificationOf,
} from './SpecificationFields';
import { BOOKS, CAPACITY_KINDS, DRAIN_WAYS, listed, READ_BY } from './words';

type Page = Schemas['Compartment'] & { machine_id: number; machine: string };

const YELLOW = [
  { value: '', label: 'not known' },
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
] as const;
const COOLING = [
  { value: '', label: 'not said' },
  { value: 'air', label: 'air' },
  { value: 'liquid', label: 'liquid' },
] as const;

const NO_AMOUNT = { kind: 'refill' as Schemas['CapacityKind'], amount: '', book: 'machine' as Schemas['Book'] };

type Draft = {
  capacities: (typeof NO_AMOUNT)[];
  specification: SpecificationDraft;
  of_component: SpecificationDraft;
  drain_way: NonNullable<Schemas['Sheet']['drain_way']> | '';
  through: string;
  read_by: NonNullable<Schemas['Sheet']['read_by']> | '';
  valve: string;
  puts_back: string;
  yellow: '' | 'yes' | 'no';
  cooling: NonNullable<Schemas['Sheet']['cooling']> | '';
  shares_with: string;
  service: ServiceDraft;
};

const draftOf = (sheet: Schemas['Sheet'] | null): Draft => ({
  capacities: sheet?.capacities?.length
    ? sheet.capacities.map(({ kind, amount, book }) => ({ kind: kind ?? 'refill', amount, book: book ?? 'machine' }))
    : [NO_AMOUNT],
  specification: specificationDraft(sheet?.specification),
  of_component: specificationDraft(sheet?.specification_of_component),
  drain_way: sheet?.drain_way ?? '',
  through: sheet?.through ?? '',
  read_by: sheet?.read_by ?? '',
  valve: sheet?.valve ?? '',
  puts_back: (sheet?.puts_back ?? []).join(', '),
  yellow: sheet?.yellow_metals === true ? 'yes' : sheet?.yellow_metals === false ? 'no' : '',
  cooling: sheet?.cooling ?? '',
  shares_with: sheet?.shares_with ?? '',
  service: serviceDraft(sheet?.service),
});

/** Writes down what the books say of one compartment. */
export default function CompartmentBookPage() {
  const { machine = '', spot = '' } = useParams();
  const page = useQuery(compartmentQuery(Number(machine), spot));
  if (!page.data) return <Reading error={page.error} />;
  return <BookForm key={page.data.version} page={page.data} />;
}

function BookForm({ page }: { page: Page }) {
  const navigate = useNavigate();
  const { told } = useAfterWrite(sheetOf(page.machine_id));
  const others = useQuery(compartmentsQuery(page.machine_id)).data?.compartments ?? [];
  const [draft, setDraft, clear] = useDraft(
    `book.${page.id}.${page.version}`,
    useMemo(() => draftOf(page.sheet), [page.sheet]),
  );
  const change = (part: Partial<typeof draft>) => setDraft((before) => ({ ...before, ...part }));
  const back = () => navigate(`/machines/${page.machine_id}/fluids/${page.key}`);
  const sheet = (): Schemas['Sheet'] => ({
    capacities: draft.capacities.filter(({ amount }) => amount.trim() !== ''),
    specification: specificationOf(draft.specification),
    specification_of_component: specificationOf(draft.of_component),
    drain_way: draft.drain_way || null,
    through: draft.drain_way === 'suction' ? draft.through || null : null,
    read_by: draft.read_by || null,
    valve: draft.valve,
    puts_back: listed(draft.puts_back),
    yellow_metals: draft.yellow === '' ? null : draft.yellow === 'yes',
    cooling: draft.cooling || null,
    shares_with: draft.shares_with || null,
    service: serviceOf(draft.service),
  });
  const write = useWrite(
    () =>
      answer(
        api.PUT('/machines/{machine}/compartments/{spot}', {
          params: {
            path: { machine: page.machine_id, spot: page.key },
            header: { 'If-Match': `"${page.version}"` },
          },
          body: { sheet: sheet() },
        }),
      ),
    async () => {
      clear();
      await told(`${page.machine}: what the book says of the ${within(page.name)} is written down.`);
      back();
    },
  );
  const changeAmount = (at: number, part: Partial<typeof NO_AMOUNT>) =>
    change({ capacities: draft.capacities.map((one, index) => (index === at ? { ...one, ...part } : one)) });
  const spec = (name: 'specification' | 'of_component', path: string) => (
    <SpecificationFields
      draft={draft[name]}
      onChange={(part) => change({ [name]: { ...draft[name], ...part } as SpecificationDraft })}
      fields={write.fields}
      path={path}
    />
  );
  return (
    <FormSheet
      title={`${page.machine}: ${within(page.name)}`}
      lead={
        page.usual
          ? `As its book has it. Such a machine usually takes ${page.usual}: common practice, no source.`
          : 'As its book has it.'
      }
    >
      {draft.capacities.map((one, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows are only added at the end
        <Fields key={at} $columns={3}>
          <Field
            label={at === 0 ? 'It takes' : 'and'}
            value={one.amount}
            onChange={(amount) => changeAmount(at, { amount })}
            error={write.fields[`sheet.capacities.${at}.amount`]}
            placeholder="3.8/4.2 qt"
          />
          <Choice
            label="when"
            value={one.kind}
            onChange={(kind) => changeAmount(at, { kind })}
            options={CAPACITY_KINDS}
            error={write.fields[`sheet.capacities.${at}.kind`]}
          />
          <Choice label="by" value={one.book} onChange={(book) => changeAmount(at, { book })} options={BOOKS} />
        </Fields>
      ))}
      <Soft>
        As the book writes it: 7.1 qt · 1.6–1.8 L · 3.8/4.2 qt without and with filter · 7.1 qt (6.7 L) one thing two
        ways.
      </Soft>
      <QuietActions>
        <QuietButton onPress={() => change({ capacities: [...draft.capacities, NO_AMOUNT] })}>
          Another figure
        </QuietButton>
      </QuietActions>
      {spec('specification', 'sheet.specification.')}
      <Fold label="The component maker's book says otherwise" open={draft.of_component.kind !== ''}>
        {spec('of_component', 'sheet.specification_of_component.')}
      </Fold>
      <Fields $columns={2}>
        <Choice
          label="It is drained"
          value={draft.drain_way}
          onChange={(drain_way) => change({ drain_way })}
          options={DRAIN_WAYS}
        />
        <Choice
          label="Its level is read"
          value={draft.read_by}
          onChange={(read_by) => change({ read_by })}
          options={READ_BY}
        />
      </Fields>
      <Fields $columns={2}>
        {draft.drain_way === 'suction' && (
          <Choice
            label="Sucked out through"
            value={draft.through}
            onChange={(through) => change({ through })}
            options={[
              { value: '', label: 'its draw-off' },
              ...page.openings.map(({ key, name }) => ({ value: key, label: name })),
            ]}
          />
        )}
        <Field
          label="Valve to shut first, and which way is on"
          value={draft.valve}
          onChange={(valve) => change({ valve })}
          error={write.fields['sheet.valve']}
        />
      </Fields>
      <Fields $columns={2}>
        <Field
          label="What must be put back afterwards"
          value={draft.puts_back}
          onChange={(puts_back) => change({ puts_back })}
          error={write.fields['sheet.puts_back']}
          placeholder="skid plate, drain tube"
        />
        <Choice
          label="Shares its fluid with"
          value={draft.shares_with}
          onChange={(shares_with) => change({ shares_with })}
          options={[
            { value: '', label: 'none' },
            ...others.filter(({ key }) => key !== page.key).map(({ key, name }) => ({ value: key, label: name })),
          ]}
          error={write.fields['sheet.shares_with']}
        />
      </Fields>
      <Fields $columns={2}>
        <Choice
          label="Brass or bronze inside"
          value={draft.yellow}
          onChange={(yellow) => change({ yellow })}
          options={YELLOW}
        />
        {page.compartment === 'engine' && (
          <Choice
            label="The engine is cooled by"
            value={draft.cooling}
            onChange={(cooling) => change({ cooling })}
            options={COOLING}
          />
        )}
      </Fields>
      <ServiceFields
        draft={draft.service}
        onChange={(part) => change({ service: { ...draft.service, ...part } })}
        fields={write.fields}
      />
      <Refusal refused={write.refused} besides={Object.keys(write.fields)} />
      <Actions>
        <MainButton isDisabled={write.busy} onPress={() => write.send()}>
          Write it down
        </MainButton>
        <PlainButton
          onPress={() => {
            clear();
            back();
          }}
        >
          Leave it
        </PlainButton>
      </Actions>
    </FormSheet>
  );
}
