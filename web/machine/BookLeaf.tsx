import { History } from '../logbook/History';
import { useSheet } from '../trade/useSheet';
import { UseStrip } from './UseStrip';

/** What was written down of the machine, newest first, under how it was used. */
export default function BookLeaf() {
  const sheet = useSheet();
  return (
    <>
      <title>{`${sheet.name}, book`}</title>
      {sheet.line.meters.length > 0 && <UseStrip machine={sheet.id} name={sheet.name} />}
      <History machine={sheet.id} />
    </>
  );
}
