import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { Navigate, Route, Routes, useMatch } from 'react-router';
import { sessionQuery } from './api/queries';
import { setZone } from './kit/clock';
import { Reading } from './kit/Reading';
import { becomes } from './offline/whose';
import { SignIn } from './people/SignIn';
import { Shell } from './shell/Shell';
import { Signboard } from './shell/Signboard';

const YardPage = lazy(() => import('./yard/YardPage'));
const MachineLeaves = lazy(() => import('./machine/MachineLeaves'));
const NowLeaf = lazy(() => import('./machine/NowLeaf'));
const PlateLeaf = lazy(() => import('./plate/PlateLeaf'));
const RulebookLeaf = lazy(() => import('./machine/RulebookLeaf'));
const FluidsLeaf = lazy(() => import('./fluids/FluidsLeaf'));
const CompartmentLeaf = lazy(() => import('./fluids/CompartmentLeaf'));
const CompartmentBookPage = lazy(() => import('./fluids/CompartmentBookPage'));
const PastePage = lazy(() => import('./fluids/PastePage'));
const SisterPage = lazy(() => import('./fluids/SisterPage'));
const BookLeaf = lazy(() => import('./machine/BookLeaf'));
const AddMachinePage = lazy(() => import('./machine/AddMachinePage'));
const EditMachinePage = lazy(() => import('./machine/EditMachinePage'));
const ServicePage = lazy(() => import('./machine/ServicePage'));
const MeterPage = lazy(() => import('./machine/MeterPage'));
const ChartPage = lazy(() => import('./machine/ChartPage'));
const RulePage = lazy(() => import('./machine/RulePage'));
const ShelfLeaves = lazy(() => import('./shelf/ShelfLeaves'));
const KeptLeaf = lazy(() => import('./shelf/KeptLeaf'));
const OrdersLeaf = lazy(() => import('./shelf/OrdersLeaf'));
const ReadyLeaf = lazy(() => import('./shelf/ReadyLeaf'));
const UsedLeaf = lazy(() => import('./shelf/UsedLeaf'));
const SupplyPage = lazy(() => import('./shelf/SupplyPage'));
const SupplyFormPage = lazy(() => import('./shelf/SupplyFormPage'));
const ShelfLabelsPage = lazy(() => import('./shelf/ShelfLabelsPage'));
const ScanPage = lazy(() => import('./shelf/ScanPage'));
const CodePage = lazy(() => import('./shelf/CodePage'));
const ListPage = lazy(() => import('./shelf/ListPage'));
const CounterPage = lazy(() => import('./shelf/CounterPage'));
const BenchPage = lazy(() => import('./bench/BenchPage'));
const NewJobPage = lazy(() => import('./bench/NewJobPage'));
const JobPage = lazy(() => import('./bench/JobPage'));
const StepPage = lazy(() => import('./bench/StepPage'));
const SignOffPage = lazy(() => import('./bench/SignOffPage'));
const LogbookPage = lazy(() => import('./logbook/LogbookPage'));
const ReckonerPage = lazy(() => import('./reckoner/ReckonerPage'));
const CalculatorPage = lazy(() => import('./reckoner/CalculatorPage'));
const PeoplePage = lazy(() => import('./people/PeoplePage'));
const ComputerPage = lazy(() => import('./upkeep/ComputerPage'));
const DoorSheetPage = lazy(() => import('./upkeep/DoorSheetPage'));
const AccountPage = lazy(() => import('./people/AccountPage'));
const WalkaroundPage = lazy(() => import('./walkaround/WalkaroundPage'));
const StartPage = lazy(() => import('./walkaround/StartPage'));
const RoundPage = lazy(() => import('./walkaround/RoundPage'));
const GreaseRoundPage = lazy(() => import('./walkaround/GreaseRoundPage'));
const FoundPage = lazy(() => import('./walkaround/FoundPage'));
const WaitingPage = lazy(() => import('./notes/WaitingPage'));
const LabelsPage = lazy(() => import('./walkaround/LabelsPage'));
const FindingPage = lazy(() => import('./walkaround/FindingPage'));
const ChecksPage = lazy(() => import('./walkaround/ChecksPage'));
const LookPage = lazy(() => import('./walkaround/LookPage'));
const WelcomePage = lazy(() => import('./people/WelcomePage'));
const FirstKeeper = lazy(() => import('./people/FirstKeeper'));

/** The one page that needs no signing in, the list for the counter; else the gate. */
export function App() {
  const counter = useMatch('/counter/:token')?.params.token;
  return counter ? (
    <Suspense fallback={<Reading />}>
      <CounterPage token={counter} />
    </Suspense>
  ) : (
    <Gate />
  );
}

/** The yard to whoever is signed in; otherwise where one signs in. */
function Gate() {
  const session = useQuery(sessionQuery);
  const invited = useMatch('/welcome') !== null;
  if (!session.data) {
    return (
      <>
        <Signboard />
        <Reading error={session.error} />
      </>
    );
  }
  becomes(session.data.person?.id ?? null);
  if (session.data.time_zone) setZone(session.data.time_zone);
  const { person, first_visit: firstVisit, needs_code: needsCode, ended, yard } = session.data;
  if (firstVisit)
    return (
      <Suspense fallback={<Reading />}>
        <FirstKeeper needsCode={needsCode} />
      </Suspense>
    );
  if (invited && !person)
    return (
      <Suspense fallback={<Reading />}>
        <WelcomePage yard={yard} />
      </Suspense>
    );
  if (!person) return <SignIn yard={yard} ended={ended} />;
  return (
    <Routes>
      <Route element={<Shell person={person} yardName={yard} />}>
        <Route path="/yard" element={<YardPage />} />
        <Route path="/machines/new" element={<AddMachinePage />} />
        <Route path="/machines/:machine" element={<MachineLeaves />}>
          <Route index element={<NowLeaf />} />
          <Route path="plate/:spot?" element={<PlateLeaf />} />
          <Route path="fluids" element={<FluidsLeaf />} />
          <Route path="fluids/:spot" element={<CompartmentLeaf />} />
          <Route path="rulebook" element={<RulebookLeaf />} />
          <Route path="book" element={<BookLeaf />} />
        </Route>
        <Route path="/machines/:machine/fluids/paste" element={<PastePage />} />
        <Route path="/machines/:machine/fluids/sister" element={<SisterPage />} />
        <Route path="/machines/:machine/fluids/:spot/book" element={<CompartmentBookPage />} />
        <Route path="/machines/:machine/edit" element={<EditMachinePage />} />
        <Route path="/machines/:machine/service" element={<ServicePage />} />
        <Route path="/machines/:machine/meter" element={<MeterPage />} />
        <Route path="/machines/:machine/chart" element={<ChartPage />} />
        <Route path="/machines/:machine/rules/new" element={<RulePage />} />
        <Route path="/machines/:machine/rules/:rule" element={<RulePage />} />
        <Route path="/machines/:machine/findings/:check" element={<FindingPage />} />
        <Route path="/machines/:machine/checks" element={<ChecksPage />} />
        <Route path="/walkaround" element={<WalkaroundPage />} />
        <Route path="/walkaround/waiting" element={<WaitingPage />} />
        <Route path="/walkaround/labels" element={<LabelsPage />} />
        <Route path="/walkaround/:machine" element={<StartPage />} />
        <Route path="/walkaround/:machine/grease" element={<GreaseRoundPage />} />
        <Route path="/walkaround/:machine/found" element={<FoundPage />} />
        <Route path="/walkaround/:machine/look/:check" element={<LookPage />} />
        <Route path="/walkaround/:machine/:kind" element={<RoundPage />} />
        <Route path="/shelf" element={<ShelfLeaves />}>
          <Route index element={<KeptLeaf kind="fluid" />} />
          <Route path="parts" element={<KeptLeaf kind="part" />} />
          <Route path="orders" element={<OrdersLeaf />} />
          <Route path="ready" element={<ReadyLeaf />} />
          <Route path="used" element={<UsedLeaf />} />
        </Route>
        <Route path="/shelf/new" element={<SupplyFormPage />} />
        <Route path="/shelf/labels" element={<ShelfLabelsPage />} />
        <Route path="/shelf/scan" element={<ScanPage />} />
        <Route path="/shelf/code/:code" element={<CodePage />} />
        <Route path="/shelf/lists/:list" element={<ListPage />} />
        <Route path="/shelf/:supply" element={<SupplyPage />} />
        <Route path="/shelf/:supply/change" element={<SupplyFormPage />} />
        <Route path="/bench" element={<BenchPage />} />
        <Route path="/bench/new/:machine" element={<NewJobPage />} />
        <Route path="/bench/:job" element={<JobPage />} />
        <Route path="/bench/:job/step" element={<StepPage />} />
        <Route path="/bench/:job/off" element={<SignOffPage />} />
        <Route path="/logbook" element={<LogbookPage />} />
        <Route path="/reckoner" element={<ReckonerPage />} />
        <Route path="/reckoner/:name" element={<CalculatorPage />} />
        <Route path="/people" element={<PeoplePage />} />
        <Route path="/computer" element={<ComputerPage />} />
        <Route path="/computer/door" element={<DoorSheetPage />} />
        <Route path="/account" element={<AccountPage />} />
        <Route path="*" element={<Navigate to="/yard" replace />} />
      </Route>
    </Routes>
  );
}
