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
        path: ':id',
        title: 'Batch',
        loadComponent: () => import('./batches/batch-page').then((m) => m.BatchPage),
      },
    ],
  },
  {
    path: 'settings',
    title: 'Settings',
    loadComponent: () => import('./settings/settings-page').then((m) => m.SettingsPage),
  },
  { path: '**', title: 'Not found', loadComponent: () => import('./ui/nowhere').then((m) => m.Nowhere) },
];
