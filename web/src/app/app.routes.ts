import { type Routes } from '@angular/router';
import { MixPage } from './mix/mix-page';

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'mix' },
  { path: 'mix', title: 'Mix', component: MixPage },
  {
    path: 'mix/finder',
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
  {
    path: 'shelf',
    title: 'Shelf',
    loadComponent: () => import('./shelf/shelf-place').then((m) => m.ShelfPlace),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'materials' },
      {
        path: 'materials',
        loadComponent: () => import('./shelf/material-list').then((m) => m.MaterialList),
      },
      {
        path: 'lots',
        title: 'Lots',
        loadComponent: () => import('./shelf/lot-list').then((m) => m.LotList),
      },
      {
        path: 'lots/:id',
        title: 'Lot',
        loadComponent: () => import('./shelf/lot-page').then((m) => m.LotPage),
      },
      {
        path: 'measures',
        title: 'Measures',
        loadComponent: () => import('./shelf/measure-list').then((m) => m.MeasureList),
      },
      {
        path: 'instruments',
        title: 'Instruments',
        loadComponent: () => import('./shelf/instruments-page').then((m) => m.InstrumentsPage),
      },
    ],
  },
  // Addresses of earlier versions, as they may stand in bookmarks.
  { path: 'finder', redirectTo: 'mix/finder' },
  { path: 'lots/:id', redirectTo: 'shelf/lots/:id' },
  { path: 'instruments', redirectTo: 'shelf/instruments' },
  {
    path: 'settings',
    title: 'Settings',
    loadComponent: () => import('./settings/settings-page').then((m) => m.SettingsPage),
  },
  { path: '**', title: 'Not found', loadComponent: () => import('./ui/nowhere').then((m) => m.Nowhere) },
];
