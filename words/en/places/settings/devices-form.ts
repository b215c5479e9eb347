import { type Filling, line, place } from '#words/place';

export const devicesForm = place('settings/devices-form', {
  theDevices: 'the devices',
  itIsNotOpen: (problem: Filling) => line`It is not open: ${problem}.`,
  openAt: 'Open at',
  noAddressThisMachineIs: 'no address: this machine is in no network.',
  itsAuthoritySha256: 'Its authority, SHA-256:',
  compareItWithWhatThe: '. Compare it with what the device shows before you trust it there.',
  pairADevice: 'Pair a device',
  pointTheDevicesCameraAt: 'Point the device’s camera at the picture, or open',
  pair: (value: Filling) => line`${value}/pair`,
  onItAndType: 'on it and type',
  forOneDeviceUntil: (until: Filling) => line`For one device, until ${until}.`,
  atFirstItWarnsOf:
    'At first it warns of the certificate, for it does not know this nursery yet: that is right. The page that opens offers the nursery’s authority and says how to install it. With it the device works without the network too.',
  itsName: 'Its name',
  saveTheName: 'Save the name',
  pairedSeen: (pairedAt: Filling, seenAt: Filling) => line`paired ${pairedAt}, seen ${seenAt}`,
  rename: 'Rename',
  removeThisDevice: 'Remove this device',
  thisMachineAlone: 'This machine alone',
  nobodyElseCanReachIt: 'Nobody else can reach it.',
  pairedDevicesSealed: 'Paired devices, sealed',
  nobodyBetweenCanReadOr:
    'Nobody between can read or change anything. A device warns of the certificate until it has the nursery’s own authority.',
  pairedDevicesPlain: 'Paired devices, plain',
  noWarningButWhoeverIs:
    'No warning, but anyone in the same network can read along and steal the device’s key. Only for a network of your own. Nothing works there without the network.',
  notDone: 'Not done',
});
