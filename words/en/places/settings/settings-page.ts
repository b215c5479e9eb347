import { type Filling, line, place } from '#words/place';

export const settingsPage = place('settings/settings-page', {
  yourApproach: 'Your approach',
  itDecidesWhatARecipe:
    'It decides what a recipe starts from and how loudly some rules speak. What can hurt plants or people is said in every approach.',
  goodAt: 'Good at',
  itCosts: 'It costs',
  itRisks: 'It risks',
  openItsMixTo: 'Open its mix to',
  whereReadingsShouldLie: 'Where readings should lie',
  yoursReplaceTheUsualOnes:
    'Yours replace the usual ones on every device, from the next recipe on. Batches are judged as they were. With loam, compost or coir the usual pH window slides up by itself; a window that you set stays.',
  days: 'Days',
  whatIsDueAndWhat: 'What is due and what came today goes by the calendar of the nursery, on every device.',
  theNursery: 'the nursery',
  timeZoneOfTheNursery: 'Time zone of the nursery',
  backups: 'Backups',
  madeAtTheStartAnd:
    'Made at the start and every day, each checked before it counts: the newest of seven days, five weeks and twelve months are kept. Never copy the data file itself while Welcome runs: half of it may lie in its journal.',
  backupsAreMadeAndPut: 'Backups are made and put back at the machine itself on which Welcome runs.',
  phonesAndOtherDevices: 'Phones and other devices',
  atTheBenchWithA:
    'At the bench with a phone: it opens Welcome over the nursery’s own network, once it is paired here. What is lost or stolen is shut out with one press.',
  devicesArePairedNamedAnd:
    'Devices are paired, named and shut out at the machine itself on which Welcome runs.',
  thisDeviceShowsNothingWithout:
    'This device shows nothing without the network; what you type stays in the open page. With',
  theNurserysOwnAuthority: 'the nursery’s own authority',
  installedOnItItOpens: 'installed on it, it opens without the network too.',
  thisDeviceOpensWithoutThe:
    'This device opens without the network, and sends what was entered when it is back.',
  toAndFromAnotherGrower: 'To and from another grower',
  yourOwnMixesMaterialsProducts:
    'Your own mixes, materials, products, vessels and crops as one small file. From theirs you see first what is new, the same, or different; nothing of yours is changed.',
  money: 'Money',
  theSignBeforeMoney: 'The sign before money',
  howFarThingsScatter: 'How far things scatter',
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
  ecOfSoMuchSalt: 'EC of so much salt, ± %',
  todayIsThere: (today: Filling) => line`Today is ${today} there.`,
  notKept: (message: Filling) => line`Not kept: ${message}`,
});
