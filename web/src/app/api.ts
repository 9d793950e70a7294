import { generatedApi } from './api.generated';
import { aList, aRow, rows, theWriteOf, whole } from './cacheTags';

/** A dial-in was closed: a lesson follows from it, which sheets of the same grinder and coffee show, too. */
const TAUGHT = (['Grinders', 'Coffees', 'Palates'] as const).map(whole);
/** A shot was corrected, perhaps of a dial-in closed long ago: lists show what follows, open sheets need not. */
const TAUGHT_AGAIN = (['Grinders', 'Coffees', 'Palates'] as const).map(rows);

/**
 * What an answer is made of, and what a write makes stale: rows by their ids, so that a shot saved at one station does not
 * read another station's sheet again. What a closed dial-in teaches reaches further, and is told by kind.
 */
export const api = generatedApi.enhanceEndpoints({
  endpoints: {
    listGrinders: aList('Grinders'),
    getGrinder: aRow('Grinders'),
    putGrinder: theWriteOf('Grinders'),
    listMachines: aList('Machines'),
    getMachine: aRow('Machines'),
    putMachine: theWriteOf('Machines'),
    listBaskets: aList('Baskets'),
    getBasket: aRow('Baskets'),
    putBasket: theWriteOf('Baskets'),
    listCoffees: aList('Coffees'),
    getCoffee: aRow('Coffees'),
    // Cards and stations carry its name.
    putCoffee: theWriteOf('Coffees', () => [rows('Cards'), rows('Runs')]),
    listBags: aList('Bags'),
    getBag: aRow('Bags'),
    putBag: theWriteOf('Bags'),
    listStations: aList('Stations'),
    getStation: aRow('Stations'),
    putStation: theWriteOf('Stations', () => [rows('Cards'), rows('Runs')]),
    listRuns: aList('Runs'),
    getRun: aRow('Runs'),
    putRun: theWriteOf('Runs', () => TAUGHT),
    listShots: aList('Shots'),
    getShot: aRow('Shots'),
    getShotHistory: aRow('Shots'),
    putShot: theWriteOf('Shots', ({ shotDto: { runId } }: { shotDto: { runId?: string | null } }) => [
      ...(runId ? [{ type: 'Runs' as const, id: runId }] : []),
      ...TAUGHT_AGAIN,
    ]),
    listTastings: aList('Tastings'),
    getTasting: aRow('Tastings'),
    putTasting: theWriteOf('Tastings', ({ tastingDto: { shotId } }: { tastingDto: { shotId: string } }) => [
      { type: 'Shots' as const, id: shotId },
      ...TAUGHT_AGAIN,
    ]),
    listBarScales: aList('BarScales'),
    getBarScale: aRow('BarScales'),
    putBarScale: theWriteOf('BarScales'),
    listDoseWeighings: aList('DoseWeighings'),
    getDoseWeighing: aRow('DoseWeighings'),
    putDoseWeighing: theWriteOf('DoseWeighings'),
    listFoundDoses: aList('FoundDoses'),
    getFoundDose: aRow('FoundDoses'),
    putFoundDose: theWriteOf('FoundDoses'),
    listOwnMethods: aList('OwnMethods'),
    getOwnMethod: aRow('OwnMethods'),
    putOwnMethod: theWriteOf('OwnMethods'),
    listOpenings: aList('Openings'),
    getOpening: aRow('Openings'),
    putOpening: theWriteOf('Openings'),
    listPeople: aList('People'),
    getPerson: aRow('People'),
    putPerson: theWriteOf('People'),
    listCoffeeChanges: aList('CoffeeChanges'),
    getCoffeeChange: aRow('CoffeeChanges'),
    putCoffeeChange: theWriteOf(
      'CoffeeChanges',
      ({ coffeeChangeDto: { stationId } }: { coffeeChangeDto: { stationId: string } }) => [
        { type: 'Stations', id: stationId },
        ...(['Stations', 'Bags'] as const).map(rows),
      ],
    ),
    listRoomReadings: aList('RoomReadings'),
    getRoomReading: aRow('RoomReadings'),
    putRoomReading: theWriteOf('RoomReadings'),
    listDayMoves: aList('DayMoves'),
    getDayMove: aRow('DayMoves'),
    putDayMove: theWriteOf('DayMoves', ({ dayMoveDto: { stationId } }: { dayMoveDto: { stationId: string } }) => [
      { type: 'Stations', id: stationId },
      rows('Stations'),
    ]),
    listStationEvents: aList('StationEvents'),
    getStationEvent: aRow('StationEvents'),
    putStationEvent: theWriteOf('StationEvents'),
    listLearnedHere: { providesTags: (['Grinders', 'Openings'] as const).map(rows) },
    listDrinks: aList('Drinks'),
    getDrink: aRow('Drinks'),
    putDrink: theWriteOf('Drinks'),
    listMachineButtons: aList('MachineButtons'),
    getMachineButton: aRow('MachineButtons'),
    putMachineButton: theWriteOf('MachineButtons'),
    getBasketTable: { providesTags: (['BasketRows', 'Cards', 'Baskets', 'Shots'] as const).map(rows) },
    listBasketRows: aList('BasketRows'),
    getBasketRow: aRow('BasketRows'),
    putBasketRow: theWriteOf('BasketRows'),
    getPrepared: { providesTags: (['Preparations', 'Shots'] as const).map(rows) },
    listPreparations: aList('Preparations'),
    getPreparation: aRow('Preparations'),
    putPreparation: theWriteOf('Preparations'),
    getCare: { providesTags: (['CareDone', 'CareRules', 'Machines', 'Grinders', 'Stations'] as const).map(rows) },
    listCareDone: aList('CareDone'),
    getCareDone: aRow('CareDone'),
    putCareDone: theWriteOf('CareDone'),
    listCareRules: aList('CareRules'),
    getCareRule: aRow('CareRules'),
    putCareRule: theWriteOf('CareRules'),
    listHandOvers: aList('HandOvers'),
    getHandOver: aRow('HandOvers'),
    putHandOver: theWriteOf('HandOvers'),
    getHappened: {
      providesTags: (
        ['HandOvers', 'DayMoves', 'Cards', 'CoffeeChanges', 'Bags', 'StationEvents', 'Keepers'] as const
      ).map(rows),
    },
    listKeepers: aList('Keepers'),
    getKeeper: aRow('Keepers'),
    putKeeper: theWriteOf('Keepers'),
    holdKeeper: theWriteOf('Keepers'),
    goOnKeeping: theWriteOf('Keepers'),
    listDevices: aList('Devices'),
    getDevice: aRow('Devices'),
    putDevice: theWriteOf('Devices'),
    commandDevice: { invalidatesTags: [] },
    getRecentReports: { providesTags: [] },
    listOpenPulls: { providesTags: [rows('Pulls')] },
    getPull: aRow('Pulls'),
    putPull: theWriteOf('Pulls'),
    askForPull: theWriteOf('Pulls'),
    givePull: theWriteOf('Pulls'),
    getShotTrace: aRow('Shots'),
    listCards: aList('Cards'),
    getCard: aRow('Cards'),
    getLastPulled: { providesTags: (_last, _error, { id }) => [{ type: 'Cards', id }, rows('Shots')] },
    proposeCard: theWriteOf('Cards'),
    answerProposal: {
      invalidatesTags: (card) => [
        ...(card ? [{ type: 'Cards' as const, id: card.id }] : []),
        rows('Cards'),
        rows('Stations'),
      ],
    },

    getBoard: {
      providesTags: (
        [
          'Stations',
          'Shots',
          'Runs',
          'Cards',
          'Coffees',
          'Bags',
          'Grinders',
          'Machines',
          'DayMoves',
          'Keepers',
          'StationEvents',
          'RoomReadings',
          'Openings',
        ] as const
      ).map(rows),
    },
    getSheet: {
      providesTags: (sheet, _error, { id }) => [
        { type: 'Runs', id },
        { type: 'Palates', id },
        ...(sheet?.shots ?? []).map((shot) => ({ type: 'Shots' as const, id: shot.id })),
        ...(sheet
          ? [
              { type: 'Stations' as const, id: sheet.station.id },
              { type: 'Grinders' as const, id: sheet.grinder.id },
              { type: 'Machines' as const, id: sheet.machine.id },
              { type: 'Baskets' as const, id: sheet.basket.id },
              { type: 'Coffees' as const, id: sheet.coffee.id },
              { type: 'OwnMethods' as const, id: sheet.run.methodId },
            ]
          : []),
        ...(['Bags', 'FoundDoses', 'DoseWeighings'] as const).map(rows),
      ],
    },
    putPrinted: { invalidatesTags: (_card, _error, { id }) => [{ type: 'Cards', id }] },
    moveFoundTime: { invalidatesTags: (_card, _error, { id }) => [{ type: 'Cards', id }, rows('Cards')] },
    getProposal: {
      providesTags: (_proposal, _error, { id, coffeeId }) => [
        { type: 'Stations', id },
        { type: 'Coffees', id: coffeeId },
        ...(['Cards', 'Bags', 'FoundDoses'] as const).map(rows),
      ],
    },
    getStationDay: {
      providesTags: (day, _error, { id }) => [
        { type: 'Stations', id },
        rows('Shots'),
        ...(day?.shots ?? []).map((shot) => ({ type: 'Shots' as const, id: shot.id })),
      ],
    },
    putSeveralShots: {
      invalidatesTags: (_shots, _error, { severalShotsDto: { shots } }) => [
        rows('Shots'),
        ...shots.flatMap(({ id, runId }) => [
          { type: 'Shots' as const, id },
          ...(runId ? [{ type: 'Runs' as const, id: runId }] : []),
        ]),
      ],
    },
    getStock: { providesTags: (['Bags', 'Shots', 'CoffeeChanges'] as const).map(rows) },
    getWear: { providesTags: (['Grinders', 'Shots'] as const).map(rows) },
    getTastedToday: { providesTags: (['Tastings', 'Shots'] as const).map(rows) },
    getTimedDose: {
      providesTags: (_desk, _error, { grinderId }) => [
        { type: 'Grinders', id: grinderId },
        ...(['DoseWeighings', 'Shots'] as const).map(rows),
      ],
    },
    listCorrections: {
      providesTags: (['Shots', 'Bags', 'Coffees', 'Grinders', 'Baskets', 'Stations'] as const).map(rows),
    },
    keepCard: {
      invalidatesTags: (_card, _error, { runId }) => [
        { type: 'Runs', id: runId },
        ...(['Runs', 'Cards', 'Stations'] as const).map(rows),
        ...TAUGHT,
        ...(['Stations', 'Cards'] as const).map(whole),
      ],
    },
    setUpStation: {
      invalidatesTags: (
        ['Setup', 'Grinders', 'Machines', 'Baskets', 'Coffees', 'Bags', 'Stations', 'Runs'] as const
      ).map(whole),
    },
  },
});

export * from './api.generated';
