import { type Filling, line, place } from '#words/place';

export const settingsPage = place('settings/settings-page', {
  yourApproach: 'Your approach',
  itDecidesWhatARecipe:
    'It decides what a recipe starts from and how loudly some rules speak. Hazards to plants or people are said in every approach.',
  changesTo: (name: Filling, starts: Filling, rules: Filling) =>
    line`${name}: new recipes to ${starts} start from its mixes. ${rules} rules speak louder or softer. Your saved recipes stay.`,
  workByThis: 'Work by this one',
  stayWith: (name: Filling) => line`Stay with ${name}`,
  nowWorkBy: (name: Filling) => line`You work by ${name} now.`,
  goodAt: 'Good at',
  itCosts: 'It costs',
  itRisks: 'It risks',
  openItsMixTo: 'Open its mix to',
  whereReadingsShouldLie: 'Where readings should be',
  yoursReplaceTheUsualOnes:
    'Yours replace the usual ones on every device, from the next recipe on. Batches stay judged as they were. With loam, compost or coir the usual pH window moves up by itself; your own stays.',
  days: 'Days',
  whatIsDueAndWhat: 'What is due, and what came today, follows the nursery’s calendar on every device.',
  theNursery: 'the nursery',
  timeZoneOfTheNursery: 'Time zone of the nursery',
  backups: 'Backups',
  aBackupIsMadeAt:
    'A backup is made at the start and every day, and checked before it counts. The newest of seven days, five weeks and twelve months stay. Never copy the data file itself while Welcome runs: part of it may be in its journal.',
  backupsAreMadeAndPut: 'Backups are made and restored on the machine that runs Welcome.',
  phonesAndOtherDevices: 'Phones and other devices',
  aPhoneAtTheBench:
    'A phone at the bench opens Welcome over the nursery’s own network, once it is paired here. A lost or stolen one is shut out with one press.',
  devicesArePairedNamedAnd: 'Devices are paired, named and shut out on the machine that runs Welcome.',
  withoutTheNetworkThisDevice:
    'Without the network this device shows nothing; what you type stays in the open page. With',
  theNurserysOwnAuthority: 'the nursery’s own authority',
  installedItOpensWithoutThe: 'installed, it opens without the network too.',
  thisDeviceOpensWithoutThe: 'This device opens without the network, and sends your entries once it is back.',
  toAndFromAnotherGrower: 'To and from another grower',
  yourOwnMixesMaterialsProducts:
    'Your own mixes, materials, products, vessels and crops as one small file. From theirs you first see what is new, the same or different. Nothing of yours changes.',
  money: 'Money',
  theSignBeforeMoney: 'The sign before money',
  howFarThingsScatter: 'How far things vary',
  twoOfThreeBatchesLie:
    'Two of three batches lie within ± this. It draws the grey bands on the readings. Usual values are common practice, no source.',
  backToTheUsualOnes: 'Back to the usual ones',
  howFullAScoopIs: 'How full a scoop is, ± %',
  howWellADoseIs: 'How well a dose is weighed, ± %',
  strengthOfTheLime: 'Strength of the lime, ± %',
  bufferOfPeatAndOthers: 'Buffer of peat and others, ± %',
  phOfTheMaterialsUnits: 'pH of the materials, ± units',
  saltsAndNutrientsInThem: 'Salts and nutrients in them, ± %',
  weightByVolume: 'Weight by volume, ± %',
  sizeOfTheBits: 'Size of the bits, ± %',
  poresPoints: 'Pores, ± points',
  widthOfThePores: 'Width of the pores, ± %',
  suctionAtWhichPoresEmpty: 'Suction at which pores empty, ± %',
  firmingByHandPoints: 'Firming by hand, ± points',
  howPressingNarrowsPoresIn: 'How pressing narrows pores, ± in the power',
  freeLimeInComposts: 'Free lime in composts, ± %',
  lostInMixingPoints: 'Lost in mixing, ± points',
  ecOfAGivenSalt: 'EC of a given salt, ± %',
  todayIsThere: (today: Filling) => line`Today is ${today} there.`,
  yourApproachStays: (name: Filling) => line`Opened. Your approach stays: ${name}.`,
  notKept: (message: Filling) => line`Not saved: ${message}`,
  usualCare: 'Usual care',
  houseWaterAndFeed:
    'House, water, feed and spacing. Dates for watering, feeding and potting up follow them.',
  setIt: 'See and change it',
});
