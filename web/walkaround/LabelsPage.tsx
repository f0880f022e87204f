import { useInfiniteQuery } from '@tanstack/react-query';
import { renderSVG } from 'uqr';
import { walkaroundQuery } from '../api/queries';
import { useEveryPage } from '../api/useEveryPage';
import { MainButton } from '../kit/Button';
import { Labels, OnScreen } from '../kit/Labels';
import { Lead, Page, Soft, Title } from '../kit/Sheet';
import { Reading } from '../trade/Reading';

/** A label for each machine: looked at with a phone's camera, it opens that machine's round. */
export default function LabelsPage() {
  const machines = useInfiniteQuery(walkaroundQuery);
  useEveryPage(machines);
  if (!machines.data) return <Reading title="Labels" error={machines.error} />;
  const rows = machines.data.pages.flatMap((page) => page.data);
  return (
    <Page>
      <title>Labels</title>
      <OnScreen>
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
      </OnScreen>
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
