import { place } from '#words/place';

export const pairPage = place('pair-page', {
  title: 'Pair this device',
  welcome: 'Welcome',
  notKnown:
    'This device is not known here yet. On the machine that runs Welcome open Settings, Phones and other devices. Press Pair a device: it shows the code.',
  code: 'The code',
  name: 'What you call this device',
  phoneInTheTunnel: 'Phone in the tunnel',
  pair: 'Pair it',
  withoutANetwork: 'So that it works without a network too',
  trust: 'A phone keeps pages only behind a certificate that it trusts.',
  fetchTheAuthority: 'Get this nursery’s own authority',
  installIt:
    ', then install it. On some phones: Settings, Profile downloaded, then About, Certificate trust. On others: Settings, Security, Install a certificate, CA certificate. It vouches for this one machine. Without it everything works while the phone is in reach.',
  nameIt: 'Give this device a name.',
  wrongCode: 'This code is not the one, or its time is over.',
});
