import { type Route, type Routes } from '@angular/router';
import { MixPage } from './mix/mix-page';
import { appRoutes as texts } from '#words/en/places/app.routes';
import { common } from '#words/en/places/common';

/** A page that is fetched when it is asked for. */
const place = (path: string, title: string, loadComponent: NonNullable<Route['loadComponent']>): Route => ({
  path,
  title,
  loadComponent,
});

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'mix' },
  { path: 'mix', title: common.mix, component: MixPage },
  place('mix/weeks', common.weeksAhead, () => import('./weeks/weeks-page').then((m) => m.WeeksPage)),
  place('mix/potting', common.pottingUp, () => import('./potting/potting-page').then((m) => m.PottingPage)),
  place('mix/cuttings', common.cuttings, () =>
    import('./cuttings/cuttings-page').then((m) => m.CuttingsPage),
  ),
  place('mix/finder', texts.finder, () => import('./finder/finder-page').then((m) => m.FinderPage)),
  {
    path: 'batches',
    children: [
      place('', common.batches, () => import('./batches/batch-list').then((m) => m.BatchList)),
      place('new', texts.newBatch, () => import('./batches/batch-new').then((m) => m.BatchNew)),
      place(':id/run', texts.makingIt, () => import('./run/run-page').then((m) => m.RunPage)),
      place(':id', texts.batch, () => import('./batches/batch-page').then((m) => m.BatchPage)),
    ],
  },
  place('waiting', texts.waitingToBeSent, () => import('./waiting/waiting-page').then((m) => m.WaitingPage)),
  place('today', common.today, () => import('./today/today-page').then((m) => m.TodayPage)),
  {
    path: 'season',
    title: common.season,
    loadComponent: () => import('./season/season-place').then((m) => m.SeasonPlace),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'plan' },
      place('plan', common.season, () => import('./season/plan-page').then((m) => m.PlanPage)),
      place('line/:id', texts.aCropOfTheSeason, () => import('./season/line-page').then((m) => m.LinePage)),
      place('crops', common.crops, () => import('./season/crop-list').then((m) => m.CropList)),
      place('buy', texts.whatToBuy, () => import('./season/buy-page').then((m) => m.BuyPage)),
      { path: 'mixes', redirectTo: 'fewer' },
      place('fewer', texts.fewerMixes, () => import('./season/few-page').then((m) => m.FewPage)),
      place('room', texts.frostAndBenches, () => import('./season/room-page').then((m) => m.RoomPage)),
    ],
  },
  {
    path: 'plants',
    title: common.plants,
    loadComponent: () => import('./plants/plants-place').then((m) => m.PlantsPlace),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'growing' },
      // As they were called before: bookmarks and calendars still lead there.
      { path: 'standing', redirectTo: 'growing' },
      { path: 'better', redirectTo: 'compare' },
      place('growing', common.plants, () => import('./plants/plant-list').then((m) => m.PlantListPage)),
      place('new', texts.newPlanting, () => import('./plants/plant-new').then((m) => m.PlantNew)),
      place('compare', texts.compareResults, () =>
        import('./plants/compare-page').then((m) => m.ComparePage),
      ),
      place('trials', texts.trials, () => import('./plants/trial-list').then((m) => m.TrialList)),
      place('trials/:id', texts.aTrial, () => import('./plants/trial-page').then((m) => m.TrialPage)),
      place(':id', texts.aPlanting, () => import('./plants/plant-page').then((m) => m.PlantPage)),
    ],
  },
  {
    path: 'shelf',
    title: common.shelf,
    loadComponent: () => import('./shelf/shelf-place').then((m) => m.ShelfPlace),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'materials' },
      place('materials', common.shelf, () => import('./shelf/material-list').then((m) => m.MaterialList)),
      place('materials/:id', common.material, () =>
        import('./shelf/material-page').then((m) => m.MaterialPage),
      ),
      place('products', common.fertilisersAndLime, () =>
        import('./shelf/product-list').then((m) => m.ProductList),
      ),
      place('vessels', common.vessels, () => import('./shelf/vessel-list').then((m) => m.VesselList)),
      place('lots', texts.lots, () => import('./shelf/lot-list').then((m) => m.LotList)),
      place('lots/:id', texts.lot, () => import('./shelf/lot-page').then((m) => m.LotPage)),
      place('money', texts.makeOrBuy, () => import('./shelf/make-or-buy').then((m) => m.MakeOrBuyPage)),
      place('measures', texts.measures, () => import('./shelf/measure-list').then((m) => m.MeasureList)),
      place('waters', texts.waters, () => import('./shelf/water-list').then((m) => m.WaterList)),
      place('instruments', common.instruments, () =>
        import('./shelf/instruments-page').then((m) => m.InstrumentsPage),
      ),
    ],
  },
  // Addresses of earlier versions, as they may stand in bookmarks.
  { path: 'finder', redirectTo: 'mix/finder' },
  { path: 'lots/:id', redirectTo: 'shelf/lots/:id' },
  { path: 'instruments', redirectTo: 'shelf/instruments' },
  place('settings', common.settings, () => import('./settings/settings-page').then((m) => m.SettingsPage)),
  place('settings/keeping', texts.usualCare, () => import('./weeks/keeping-page').then((m) => m.KeepingPage)),
  place('**', texts.notFound, () => import('./ui/nowhere').then((m) => m.Nowhere)),
];
