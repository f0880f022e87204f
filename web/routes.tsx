import type { ComponentType } from 'react';
import { Navigate, type RouteObject } from 'react-router';
import { Coming, Gate } from './Gate';
import { NoSuchPage } from './shell/NoSuchPage';
import { PageFault } from './shell/PageFault';
import { Shell } from './shell/Shell';
import { Reading } from './trade/Reading';

const machinePages = () => import('./machine/pages');
const platePages = () => import('./plate/pages');
const fluidsPages = () => import('./fluids/pages');
const walkPages = () => import('./walkaround/pages');
const notesPages = () => import('./notes/pages');
const shelfPages = () => import('./shelf/pages');
const benchPages = () => import('./bench/pages');
const yardPages = () => import('./yard/pages');
const logbookPages = () => import('./logbook/pages');
const reckonerPages = () => import('./reckoner/pages');
const peoplePages = () => import('./people/pages');
const upkeepPages = () => import('./upkeep/pages');

/** A page of a place, whose script comes when one of them is opened. */
const page =
  <M extends Record<N, ComponentType<P>>, N extends string, P extends object>(
    place: () => Promise<M>,
    name: N,
    props = {} as P,
  ) =>
  async () => {
    const Page: ComponentType<P> = (await place())[name];
    return { Component: () => <Page {...props} /> };
  };

const machine: RouteObject[] = [
  { path: 'new', lazy: page(machinePages, 'AddMachinePage') },
  {
    path: ':machine',
    lazy: page(machinePages, 'MachineLeaves'),
    children: [
      { index: true, lazy: page(machinePages, 'NowLeaf') },
      { path: 'plate/:spot?', lazy: page(platePages, 'PlateLeaf') },
      { path: 'fluids', lazy: page(fluidsPages, 'FluidsLeaf') },
      { path: 'fluids/:spot', lazy: page(fluidsPages, 'CompartmentLeaf') },
      { path: 'rulebook', lazy: page(machinePages, 'RulebookLeaf') },
      { path: 'book', lazy: page(machinePages, 'BookLeaf') },
    ],
  },
  { path: ':machine/fluids/paste', lazy: page(fluidsPages, 'PastePage') },
  { path: ':machine/fluids/sister', lazy: page(fluidsPages, 'SisterPage') },
  { path: ':machine/fluids/:spot/book', lazy: page(fluidsPages, 'CompartmentBookPage') },
  { path: ':machine/edit', lazy: page(machinePages, 'EditMachinePage') },
  { path: ':machine/service', lazy: page(machinePages, 'ServicePage') },
  { path: ':machine/meter', lazy: page(machinePages, 'MeterPage') },
  { path: ':machine/chart', lazy: page(machinePages, 'ChartPage') },
  { path: ':machine/rules/new', lazy: page(machinePages, 'RulePage') },
  { path: ':machine/rules/:rule', lazy: page(machinePages, 'RulePage') },
  { path: ':machine/findings/:check', lazy: page(walkPages, 'FindingPage') },
  { path: ':machine/checks', lazy: page(walkPages, 'ChecksPage') },
];

const walkaround: RouteObject[] = [
  { index: true, lazy: page(walkPages, 'WalkaroundPage') },
  { path: 'waiting', lazy: page(notesPages, 'WaitingPage') },
  { path: 'labels', lazy: page(walkPages, 'LabelsPage') },
  { path: ':machine', lazy: page(walkPages, 'StartPage') },
  { path: ':machine/grease', lazy: page(walkPages, 'GreaseRoundPage') },
  { path: ':machine/found', lazy: page(walkPages, 'FoundPage') },
  { path: ':machine/look/:check', lazy: page(walkPages, 'LookPage') },
  { path: ':machine/:kind', lazy: page(walkPages, 'RoundPage') },
];

const shelf: RouteObject[] = [
  {
    lazy: page(shelfPages, 'ShelfLeaves'),
    children: [
      { index: true, lazy: page(shelfPages, 'KeptLeaf', { kind: 'fluid' as const }) },
      { path: 'parts', lazy: page(shelfPages, 'KeptLeaf', { kind: 'part' as const }) },
      { path: 'orders', lazy: page(shelfPages, 'OrdersLeaf') },
      { path: 'ready', lazy: page(shelfPages, 'ReadyLeaf') },
      { path: 'used', lazy: page(shelfPages, 'UsedLeaf') },
    ],
  },
  { path: 'new', lazy: page(shelfPages, 'SupplyFormPage') },
  { path: 'labels', lazy: page(shelfPages, 'ShelfLabelsPage') },
  { path: 'scan', lazy: page(shelfPages, 'ScanPage') },
  { path: 'code/:code', lazy: page(shelfPages, 'CodePage') },
  { path: 'lists/:list', lazy: page(shelfPages, 'ListPage') },
  { path: ':supply', lazy: page(shelfPages, 'SupplyPage') },
  { path: ':supply/change', lazy: page(shelfPages, 'SupplyFormPage') },
];

const bench: RouteObject[] = [
  { index: true, lazy: page(benchPages, 'BenchPage') },
  { path: 'new/:machine', lazy: page(benchPages, 'NewJobPage') },
  { path: ':job', lazy: page(benchPages, 'JobPage') },
  { path: ':job/step', lazy: page(benchPages, 'StepPage') },
  { path: ':job/off', lazy: page(benchPages, 'SignOffPage') },
];

/** Every address of the yard. What is none leads back. */
export const routes: RouteObject[] = [
  {
    path: '/counter/:token',
    lazy: page(shelfPages, 'CounterPage'),
    HydrateFallback: Reading,
    ErrorBoundary: PageFault,
  },
  {
    Component: Gate,
    HydrateFallback: Coming,
    ErrorBoundary: PageFault,
    children: [
      {
        Component: Shell,
        children: [
          {
            ErrorBoundary: PageFault,
            children: [
              { path: '/', element: <Navigate to="/yard" replace /> },
              { path: '/yard', lazy: page(yardPages, 'YardPage') },
              { path: '/machines', children: machine },
              { path: '/walkaround', children: walkaround },
              { path: '/shelf', children: shelf },
              { path: '/bench', children: bench },
              { path: '/logbook', lazy: page(logbookPages, 'LogbookPage') },
              { path: '/reckoner', lazy: page(reckonerPages, 'ReckonerPage') },
              { path: '/reckoner/:name', lazy: page(reckonerPages, 'CalculatorPage') },
              { path: '/people', lazy: page(peoplePages, 'PeoplePage') },
              { path: '/computer', lazy: page(upkeepPages, 'ComputerPage') },
              { path: '/computer/door', lazy: page(upkeepPages, 'DoorSheetPage') },
              { path: '/account', lazy: page(peoplePages, 'AccountPage') },
              { path: '/welcome', element: <Navigate to="/yard" replace /> },
              { path: '*', Component: NoSuchPage },
            ],
          },
        ],
      },
    ],
  },
];
