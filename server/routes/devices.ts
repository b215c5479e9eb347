import { problem } from '#words/problem-facts';
import { none } from '#core/units/message';
import { type Stores } from '#server/kept/stores';
import { type Sharing } from '#server/out/door/sharing';
import { notFound, Problem } from '#server/base/http/problem';
import { type Api } from '#server/base/http/serve';

/** The door to the network, and who may come in by it: seen and changed at the machine itself alone. */
export function deviceRoutes(api: Api, { devices, folder }: Stores, sharing: Sharing): void {
  api.serve('sharing', () => sharing.answer(devices));
  api.serve('setSharing', async ({ body: { way } }) => {
    await sharing.set(way);
    folder.sharing = way;
    return sharing.answer(devices);
  });
  api.serve('pairDevice', () => {
    if (!sharing.isOpen) throw new Problem(409, problem('problem.not-open', none));
    sharing.pairing.make();
    return sharing.answer(devices);
  });
  api.serve('renameDevice', ({ params: { id }, body: { name } }) => {
    if (!devices.rename(id, name)) throw notFound('device', id);
  });
  api.serve('takeAwayDevice', ({ params: { id } }) => {
    if (!devices.takeAway(id)) throw notFound('device', id);
    sharing.end(id);
  });
}
