import { useInfiniteQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { renderSVG } from 'uqr';
import { walkaroundQuery } from '../api/queries';
import { useEveryPage } from '../api/useEveryPage';
import { MainButton } from '../kit/Button';
import { Reading } from '../kit/Reading';
import { Lead, Page, Soft, Title } from '../kit/Sheet';

const Labels = styled.ul`
  display: grid; grid-template-columns: repeat(auto-fill, 290px); gap: 18px;
  li { display: grid; grid-template-columns: 118px 1fr; gap: 14px; align-items: center; border: 2px solid #1F2A24; border-radius: 3px; padding: 12px; background: #FFFFFF; color: #1F2A24; break-inside: avoid; }
  img { width: 118px; height: 118px; display: block; }
  strong { font: 600 21px/1.15 var(--slab); display: block; overflow-wrap: anywhere; }
  small { display: block; margin-top: 4px; }
  @media print { gap: 8mm; }
`;
const Screen = styled.div`@media print { display: none; }`;

/** A label for each machine: looked at with a phone's camera, it opens that machine's round. */
export default function LabelsPage() {
  const machines = useInfiniteQuery(walkaroundQuery);
  useEveryPage(machines);
  if (!machines.data) return <Reading title="Labels" error={machines.error} />;
  const rows = machines.data.pages.flatMap((page) => page.data);
  return (
    <Page>
      <title>Labels</title>
      <Screen>
        <Lead>
          <div>
            <Title>Labels</Title>
            <Soft>
              Print them on weatherproof paper, one by each ignition. They lead to {location.origin}; print them anew if
              that address changes.
            </Soft>
          </div>
          <MainButton onPress={() => window.print()}>Print {rows.length} labels</MainButton>
        </Lead>
      </Screen>
      <Labels>
        {rows.map((row) => (
          <li key={row.id}>
            <Code address={`${location.origin}/walkaround/${row.id}`} name={row.name} />
            <div>
              <strong>{row.name}</strong>
              <small>{row.class_label}</small>
              <small>{row.place}</small>
            </div>
          </li>
        ))}
      </Labels>
    </Page>
  );
}

function Code({ address, name }: { address: string; name: string }) {
  return (
    <img
      alt={`Code for ${name}: ${address}`}
      src={`data:image/svg+xml,${encodeURIComponent(renderSVG(address, { border: 1 }))}`}
    />
  );
}
