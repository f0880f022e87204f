import { useQuery } from '@tanstack/react-query';
import { Link, Navigate, useParams } from 'react-router';
import styled from 'styled-components';
import { shelfQuery } from '../api/queries';
import { quietLink } from '../kit/Button';
import { Empty, Page, Sheet } from '../kit/Sheet';
import { Reading } from '../trade/Reading';

const ActionLink = styled(Link)`${quietLink}`;

/** A label on the shelf leads to what stands behind it, without signal too. */
export default function CodePage() {
  const { code = '' } = useParams();
  const shelf = useQuery(shelfQuery);
  if (!shelf.data) return <Reading title="Shelf" error={shelf.error} />;
  const supply = shelf.data.supplies.find((one) => one.code.toLowerCase() === code.toLowerCase());
  if (supply) return <Navigate to={`/shelf/${supply.id}`} replace />;
  return (
    <Page>
      <title>Shelf</title>
      <Sheet>
        <Empty>
          <p>Nothing that is kept here has the code {code}.</p>
          <ActionLink to="/shelf">The whole shelf</ActionLink>
        </Empty>
      </Sheet>
    </Page>
  );
}
