import { type Routes } from '@angular/router';
import { MixPage } from './mix/mix-page';

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'mix' },
  { path: 'mix', title: 'Mix', component: MixPage },
  {
    path: 'finder',
    title: 'Finder',
    loadComponent: () => import('./finder/finder-page').then((m) => m.FinderPage),
  },
  {
    path: 'batches',
    children: [
      {
        path: '',
        title: 'Batches',
        loadComponent: () => import('./batches/batch-list').then((m) => m.BatchList),
      },
      {
        path: 'new',
        title: 'New batch',
        loadComponent: () => import('./batches/batch-new').then((m) => m.BatchNew),
      },
      {
        path: ':id/run',
        title: 'Making it',
        loadComponent: () => import('./run/run-page').then((m) => m.RunPage),
      },
      {
        path: ':id',
        title: 'Batch',
        loadComponent: () => import('./batches/batch-page').then((m) => m.BatchPage),
      },
    ],
  },
  {
    path: 'today',
    title: 'Today',
    loadComponent: () => import('./today/today-page').then((m) => m.TodayPage),
  },
  { path: 'lots/:id', title: 'Lot', loadComponent: () => import('./shelf/lot-page').then((m) => m.LotPage) },
  {
    path: 'instruments',
    title: 'Instruments',
    loadComponent: () => import('./shelf/instruments-page').then((m) => m.InstrumentsPage),
  },
  {
    path: 'settings',
    title: 'Settings',
    loadComponent: () => import('./settings/settings-page').then((m) => m.SettingsPage),
  },
  { path: '**', title: 'Not found', loadComponent: () => import('./ui/nowhere').then((m) => m.Nowhere) },
];
