import { type Route, type Routes } from '@angular/router';
import { MixPage } from './mix/mix-page';

/** A page that is fetched when it is asked for. */
const place = (path: string, title: string, loadComponent: NonNullable<Route['loadComponent']>): Route => ({
  path,
  title,
  loadComponent,
});

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'mix' },
  { path: 'mix', title: 'Mix', component: MixPage },
  place('mix/weeks', 'Weeks ahead', () => import('./weeks/weeks-page').then((m) => m.WeeksPage)),
  place('mix/potting', 'Potting up', () => import('./potting/potting-page').then((m) => m.PottingPage)),
  place('mix/cuttings', 'Cuttings', () => import('./cuttings/cuttings-page').then((m) => m.CuttingsPage)),
  place('mix/finder', 'Finder', () => import('./finder/finder-page').then((m) => m.FinderPage)),
  {
    path: 'batches',
    children: [
      place('', 'Batches', () => import('./batches/batch-list').then((m) => m.BatchList)),
      place('new', 'New batch', () => import('./batches/batch-new').then((m) => m.BatchNew)),
      place(':id/run', 'Making it', () => import('./run/run-page').then((m) => m.RunPage)),
      place(':id', 'Batch', () => import('./batches/batch-page').then((m) => m.BatchPage)),
    ],
  },
  place('waiting', 'Waiting to be sent', () => import('./waiting/waiting-page').then((m) => m.WaitingPage)),
  place('today', 'Today', () => import('./today/today-page').then((m) => m.TodayPage)),
  {
    path: 'season',
    title: 'Season',
    loadComponent: () => import('./season/season-place').then((m) => m.SeasonPlace),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'plan' },
      place('plan', 'Season', () => import('./season/plan-page').then((m) => m.PlanPage)),
      place('line/:id', 'A crop of the season', () => import('./season/line-page').then((m) => m.LinePage)),
      place('crops', 'Crops', () => import('./season/crop-list').then((m) => m.CropList)),
      place('buy', 'What to buy', () => import('./season/buy-page').then((m) => m.BuyPage)),
      { path: 'mixes', redirectTo: 'fewer' },
      place('fewer', 'Fewer mixes', () => import('./season/few-page').then((m) => m.FewPage)),
      place('room', 'Frost and benches', () => import('./season/room-page').then((m) => m.RoomPage)),
    ],
  },
  {
    path: 'plants',
    title: 'Plants',
    loadComponent: () => import('./plants/plants-place').then((m) => m.PlantsPlace),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'growing' },
      // As they were called before: bookmarks and calendars still lead there.
      { path: 'standing', redirectTo: 'growing' },
      { path: 'better', redirectTo: 'compare' },
      place('growing', 'Plants', () => import('./plants/plant-list').then((m) => m.PlantList)),
      place('new', 'New planting', () => import('./plants/plant-new').then((m) => m.PlantNew)),
      place('compare', 'Compare results', () => import('./plants/compare-page').then((m) => m.ComparePage)),
      place('trials', 'Trials', () => import('./plants/trial-list').then((m) => m.TrialList)),
      place('trials/:id', 'A trial', () => import('./plants/trial-page').then((m) => m.TrialPage)),
      place(':id', 'A planting', () => import('./plants/plant-page').then((m) => m.PlantPage)),
    ],
  },
  {
    path: 'shelf',
    title: 'Shelf',
    loadComponent: () => import('./shelf/shelf-place').then((m) => m.ShelfPlace),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'materials' },
      place('materials', 'Shelf', () => import('./shelf/material-list').then((m) => m.MaterialList)),
      place('materials/:id', 'Material', () => import('./shelf/material-page').then((m) => m.MaterialPage)),
      place('products', 'Fertilisers and lime', () =>
        import('./shelf/product-list').then((m) => m.ProductList),
      ),
      place('vessels', 'Vessels', () => import('./shelf/vessel-list').then((m) => m.VesselList)),
      place('lots', 'Lots', () => import('./shelf/lot-list').then((m) => m.LotList)),
      place('lots/:id', 'Lot', () => import('./shelf/lot-page').then((m) => m.LotPage)),
      place('money', 'Make or buy', () => import('./shelf/make-or-buy').then((m) => m.MakeOrBuyPage)),
      place('measures', 'Measures', () => import('./shelf/measure-list').then((m) => m.MeasureList)),
      place('waters', 'Waters', () => import('./shelf/water-list').then((m) => m.WaterList)),
      place('instruments', 'Instruments', () =>
        import('./shelf/instruments-page').then((m) => m.InstrumentsPage),
      ),
    ],
  },
  // Addresses of earlier versions, as they may stand in bookmarks.
  { path: 'finder', redirectTo: 'mix/finder' },
  { path: 'lots/:id', redirectTo: 'shelf/lots/:id' },
  { path: 'instruments', redirectTo: 'shelf/instruments' },
  place('settings', 'Settings', () => import('./settings/settings-page').then((m) => m.SettingsPage)),
  place('**', 'Not found', () => import('./ui/nowhere').then((m) => m.Nowhere)),
];
