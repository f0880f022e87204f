import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { shelfQuery } from '../api/queries';
import { MainButton } from '../kit/Button';
import { Labels, OnScreen } from '../kit/Labels';
import { Lead, Page, Soft, Title } from '../kit/Sheet';
import { Reading } from '../trade/Reading';
import { ShelfCode } from './ShelfCode';

/** A label for each thing on the shelf: looked at with a phone's camera, it opens what is known of it. */
export default function ShelfLabelsPage() {
  const shelf = useQuery(shelfQuery);
  const [search] = useSearchParams();
  if (!shelf.data) return <Reading title="Labels for the shelf" error={shelf.error} />;
  const only = search.get('only');
  const shown = shelf.data.supplies.filter(({ id }) => only === null || `${id}` === only);
  return (
    <Page>
      <title>Labels for the shelf</title>
      <OnScreen>
        <Lead>
          <div>
            <Title>Labels for the shelf</Title>
            <Soft>
              One at each place. They lead to {location.origin}; scanned from within, they hold whatever that address
              is.
            </Soft>
          </div>
          <MainButton onPress={() => window.print()}>
            {shown.length === 1 ? 'Print the label' : `Print ${shown.length} labels`}
          </MainButton>
        </Lead>
      </OnScreen>
      <Labels>
        {shown.map(({ id, name, in_words: words, place, code }) => (
          <li key={id}>
            <ShelfCode code={code} name={name} />
            <div>
              <strong>{name}</strong>
              <small>{words}</small>
              <small>
                {place} {code}
              </small>
            </div>
          </li>
        ))}
      </Labels>
    </Page>
  );
}
