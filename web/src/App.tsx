import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { lazy, useEffect, useLayoutEffect } from 'react';
import { BrowserRouter, Navigate, Route, Routes, useLocation } from 'react-router';

import { AboutPage } from './about/AboutPage';
import { AccessPage } from './access/AccessPage';
import { answer, api, Refused } from './api/client';
import { hashOfKey } from './api/hashOfKey';
import { BriefPage } from './brief/BriefPage';
import { GearSheet } from './brief/GearSheet';
import { PeopleSheet } from './brief/PeopleSheet';
import { WaysSheet } from './brief/WaysSheet';
import { ErrorBoundary } from './components/ErrorBoundary';
import { Trouble } from './components/Trouble';
import { useKept } from './document/useKept';
import { screenTitle } from './job/title';
import { FindingsPage } from './findings/FindingsPage';
import { JobPage } from './job/JobPage';
import { JobsPage } from './jobs/JobsPage';
import { LayoutPage } from './layout/LayoutPage';
import { StepsPage } from './layout/StepsPage';
import { AccountPage } from './load/AccountPage';
import { CardPage } from './load/CardPage';
import { CasesPage } from './load/CasesPage';
import { LoadPage } from './load/LoadPage';
import { MeasurePage } from './measure/MeasurePage';
import { AskSheet } from './power/AskSheet';
import { BoardSheet } from './power/BoardSheet';
import { DaysSheet } from './power/DaysSheet';
import { LogicSheet } from './power/LogicSheet';
import { MonitorSheet } from './power/MonitorSheet';
import { PowerPage } from './power/PowerPage';
import { AirSheet } from './range/AirSheet';
import { RangePage } from './range/RangePage';
import { StopsSheet } from './range/StopsSheet';
import { VesselsSheet } from './range/VesselsSheet';
import { WaySheet } from './range/WaySheet';
import { RevisionsPage } from './revisions/RevisionsPage';
import { FittedSheet } from './vehicle/FittedSheet';
import { PlateSheet } from './vehicle/PlateSheet';
import { SpaceSheet } from './vehicle/SpaceSheet';
import { HandPage } from './weigh/HandPage';
import { PartsSheet } from './weigh/PartsSheet';
import { ScaleSheet } from './weigh/ScaleSheet';
import { WeighPage } from './weigh/WeighPage';
import { DuePage } from './season/DuePage';
import { VariantsPage } from './variants/VariantsPage';
import { VehiclePage } from './vehicle/VehiclePage';
import { WeightSheet } from './vehicle/WeightSheet';

const last = () => import('./lastStages');
const later = (page: keyof Awaited<ReturnType<typeof last>>) =>
  lazy(() => last().then((pages) => ({ default: pages[page] })));
const BenchPage = later('BenchPage');
const BuildPage = later('BuildPage');
const BuySheet = later('BuySheet');
const CostSheet = later('CostSheet');
const CutSheet = later('CutSheet');
const OrderSheet = later('OrderSheet');
const PapersSheet = later('PapersSheet');
const HandoverPage = later('HandoverPage');
const PackSheet = later('PackSheet');
const PapersKeysSheet = later('PapersKeysSheet');
const TestsSheet = later('TestsSheet');
const WalkSheet = later('WalkSheet');
const LogPage = later('LogPage');
const SeasonsSheet = later('SeasonsSheet');

const client = new QueryClient({ defaultOptions: { queries: { retry: false, queryKeyHashFn: hashOfKey } } });

export function App() {
  // Fetched before anybody asks, so that it is there when the server is away.
  useEffect(() => void last(), []);
  return (
    <QueryClientProvider client={client}>
      <ErrorBoundary>
        <BrowserRouter>
          <Gate />
        </BrowserRouter>
      </ErrorBoundary>
    </QueryClientProvider>
  );
}

/** Shows the app, or asks for the access code where the server wants one. */
function Gate() {
  const { error, refetch } = useQuery({
    queryKey: ['vocabulary'],
    queryFn: () => answer(api.GET('/api/vocabulary')),
    staleTime: Infinity,
  });
  const { pathname } = useLocation();
  useKept(/^\/jobs\/([^/]+)/.exec(pathname)?.[1] ?? '');
  // A job that is open puts its name in; it does so after this.
  useLayoutEffect(() => {
    document.title = screenTitle(pathname);
  }, [pathname]);
  if (error instanceof Refused && error.status === 401) return <AccessPage onOpen={() => void refetch()} />;
  return (
    <Routes>
      <Route path="/" element={<JobsPage />} />
      <Route path="/due" element={<DuePage />} />
      <Route path="/about" element={<AboutPage />} />
      <Route path="/jobs/:id/revisions" element={<RevisionsPage />} />
      <Route path="/jobs/:id" element={<JobPage />}>
        <Route index element={<Navigate to="load" replace />} />
        <Route path="brief" element={<BriefPage />}>
          <Route index element={<PeopleSheet />} />
          <Route path="gear" element={<GearSheet />} />
          <Route path="ways" element={<WaysSheet />} />
        </Route>
        <Route path="vehicle" element={<VehiclePage />}>
          <Route index element={<PlateSheet />} />
          <Route path="weight" element={<WeightSheet />} />
          <Route path="fitted" element={<FittedSheet />} />
          <Route path="space" element={<SpaceSheet />} />
        </Route>
        <Route path="vehicle/measure/:bay" element={<MeasurePage />} />
        <Route path="layout" element={<LayoutPage />} />
        <Route path="layout/steps" element={<StepsPage />} />
        <Route path="findings" element={<FindingsPage />} />
        <Route path="layout/variants" element={<VariantsPage />} />
        <Route path="power" element={<PowerPage />}>
          <Route index element={<DaysSheet />} />
          <Route path="board" element={<BoardSheet />} />
          <Route path="logic" element={<LogicSheet />} />
          <Route path="ask" element={<AskSheet />} />
          <Route path="monitor" element={<MonitorSheet />} />
        </Route>
        <Route path="range" element={<RangePage />}>
          <Route index element={<WaySheet />} />
          <Route path="stops" element={<StopsSheet />} />
          <Route path="vessels" element={<VesselsSheet />} />
          <Route path="air" element={<AirSheet />} />
        </Route>
        <Route path="build" element={<BuildPage />}>
          <Route index element={<CutSheet />} />
          <Route path="buy" element={<BuySheet />} />
          <Route path="cost" element={<CostSheet />} />
          <Route path="order" element={<OrderSheet />} />
          <Route path="papers" element={<PapersSheet />} />
        </Route>
        <Route path="build/bench" element={<BenchPage />} />
        <Route path="weigh" element={<WeighPage />}>
          <Route index element={<PartsSheet />} />
          <Route path="scale" element={<ScaleSheet />} />
        </Route>
        <Route path="weigh/hand" element={<HandPage />}>
          <Route index element={<PartsSheet alone />} />
        </Route>
        <Route path="handover" element={<HandoverPage />}>
          <Route index element={<TestsSheet />} />
          <Route path="papers" element={<PapersKeysSheet />} />
          <Route path="walk" element={<WalkSheet />} />
          <Route path="pack" element={<PackSheet />} />
          <Route path="seasons" element={<SeasonsSheet />} />
        </Route>
        <Route path="log" element={<LogPage />} />
        <Route path="load" element={<LoadPage />} />
        <Route path="load/cases" element={<CasesPage />} />
        <Route path="load/account" element={<AccountPage />} />
        <Route path="load/card" element={<CardPage />} />
      </Route>
      <Route path="*" element={<Trouble message="There is no such screen." />} />
    </Routes>
  );
}
