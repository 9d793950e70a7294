import { emptyApi as api } from "./emptyApi";
export const addTagTypes = [
  "Door",
  "Shop",
  "Grinders",
  "Machines",
  "Baskets",
  "Coffees",
  "Bags",
  "Stations",
  "Runs",
  "Palates",
  "Starts",
  "Shots",
  "Tastings",
  "Cards",
  "Board",
  "Setup",
  "BarScales",
  "DoseWeighings",
  "FoundDoses",
  "OwnMethods",
  "Openings",
  "Shelf",
  "Calendar",
  "Advice",
  "Health",
  "Corrections",
  "People",
  "Day",
  "CoffeeChanges",
  "Proposals",
  "DayMoves",
  "StationEvents",
  "Keepers",
  "BasketTable",
  "BasketRows",
  "Care",
  "CareDone",
  "CareRules",
  "Preparations",
  "Prepared",
  "Drinks",
  "MachineButtons",
  "Effects",
  "HandOvers",
  "Happened",
  "RoomReadings",
  "Devices",
  "Pulls",
  "Exports",
  "Imports",
  "ImportMatches",
] as const;
const injectedRtkApi = api
  .enhanceEndpoints({
    addTagTypes,
  })
  .injectEndpoints({
    endpoints: (build) => ({
      getDoor: build.query<GetDoorApiResponse, GetDoorApiArg>({
        query: () => ({ url: `/api/door` }),
        providesTags: ["Door"],
      }),
      enter: build.mutation<EnterApiResponse, EnterApiArg>({
        query: (queryArg) => ({
          url: `/api/door`,
          method: "POST",
          body: queryArg.enterDto,
        }),
        invalidatesTags: ["Door"],
      }),
      listTablets: build.query<ListTabletsApiResponse, ListTabletsApiArg>({
        query: () => ({ url: `/api/tablets` }),
        providesTags: ["Door"],
      }),
      letOutTablet: build.mutation<LetOutTabletApiResponse, LetOutTabletApiArg>(
        {
          query: (queryArg) => ({
            url: `/api/tablets/${queryArg.id}/out`,
            method: "PUT",
          }),
          invalidatesTags: ["Door"],
        },
      ),
      getShop: build.query<GetShopApiResponse, GetShopApiArg>({
        query: () => ({ url: `/api/shop` }),
        providesTags: ["Shop"],
      }),
      putShop: build.mutation<PutShopApiResponse, PutShopApiArg>({
        query: (queryArg) => ({
          url: `/api/shop`,
          method: "PUT",
          body: queryArg.shopDto,
        }),
        invalidatesTags: ["Shop"],
      }),
      listGrinders: build.query<ListGrindersApiResponse, ListGrindersApiArg>({
        query: (queryArg) => ({
          url: `/api/grinders`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Grinders"],
      }),
      getGrinder: build.query<GetGrinderApiResponse, GetGrinderApiArg>({
        query: (queryArg) => ({ url: `/api/grinders/${queryArg.id}` }),
        providesTags: ["Grinders"],
      }),
      putGrinder: build.mutation<PutGrinderApiResponse, PutGrinderApiArg>({
        query: (queryArg) => ({
          url: `/api/grinders/${queryArg.id}`,
          method: "PUT",
          body: queryArg.grinderDto,
        }),
        invalidatesTags: ["Grinders"],
      }),
      listMachines: build.query<ListMachinesApiResponse, ListMachinesApiArg>({
        query: (queryArg) => ({
          url: `/api/machines`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Machines"],
      }),
      getMachine: build.query<GetMachineApiResponse, GetMachineApiArg>({
        query: (queryArg) => ({ url: `/api/machines/${queryArg.id}` }),
        providesTags: ["Machines"],
      }),
      putMachine: build.mutation<PutMachineApiResponse, PutMachineApiArg>({
        query: (queryArg) => ({
          url: `/api/machines/${queryArg.id}`,
          method: "PUT",
          body: queryArg.machineDto,
        }),
        invalidatesTags: ["Machines"],
      }),
      listBaskets: build.query<ListBasketsApiResponse, ListBasketsApiArg>({
        query: (queryArg) => ({
          url: `/api/baskets`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Baskets"],
      }),
      getBasket: build.query<GetBasketApiResponse, GetBasketApiArg>({
        query: (queryArg) => ({ url: `/api/baskets/${queryArg.id}` }),
        providesTags: ["Baskets"],
      }),
      putBasket: build.mutation<PutBasketApiResponse, PutBasketApiArg>({
        query: (queryArg) => ({
          url: `/api/baskets/${queryArg.id}`,
          method: "PUT",
          body: queryArg.basketDto,
        }),
        invalidatesTags: ["Baskets"],
      }),
      listCoffees: build.query<ListCoffeesApiResponse, ListCoffeesApiArg>({
        query: (queryArg) => ({
          url: `/api/coffees`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Coffees"],
      }),
      getCoffee: build.query<GetCoffeeApiResponse, GetCoffeeApiArg>({
        query: (queryArg) => ({ url: `/api/coffees/${queryArg.id}` }),
        providesTags: ["Coffees"],
      }),
      putCoffee: build.mutation<PutCoffeeApiResponse, PutCoffeeApiArg>({
        query: (queryArg) => ({
          url: `/api/coffees/${queryArg.id}`,
          method: "PUT",
          body: queryArg.coffeeDto,
        }),
        invalidatesTags: ["Coffees"],
      }),
      listBags: build.query<ListBagsApiResponse, ListBagsApiArg>({
        query: (queryArg) => ({
          url: `/api/bags`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Bags"],
      }),
      getBag: build.query<GetBagApiResponse, GetBagApiArg>({
        query: (queryArg) => ({ url: `/api/bags/${queryArg.id}` }),
        providesTags: ["Bags"],
      }),
      putBag: build.mutation<PutBagApiResponse, PutBagApiArg>({
        query: (queryArg) => ({
          url: `/api/bags/${queryArg.id}`,
          method: "PUT",
          body: queryArg.bagDto,
        }),
        invalidatesTags: ["Bags"],
      }),
      listStations: build.query<ListStationsApiResponse, ListStationsApiArg>({
        query: (queryArg) => ({
          url: `/api/stations`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Stations"],
      }),
      getStation: build.query<GetStationApiResponse, GetStationApiArg>({
        query: (queryArg) => ({ url: `/api/stations/${queryArg.id}` }),
        providesTags: ["Stations"],
      }),
      putStation: build.mutation<PutStationApiResponse, PutStationApiArg>({
        query: (queryArg) => ({
          url: `/api/stations/${queryArg.id}`,
          method: "PUT",
          body: queryArg.stationDto,
        }),
        invalidatesTags: ["Stations"],
      }),
      getSheet: build.query<GetSheetApiResponse, GetSheetApiArg>({
        query: (queryArg) => ({ url: `/api/runs/${queryArg.id}/sheet` }),
        providesTags: ["Runs"],
      }),
      listRuns: build.query<ListRunsApiResponse, ListRunsApiArg>({
        query: (queryArg) => ({
          url: `/api/runs`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Runs"],
      }),
      getRun: build.query<GetRunApiResponse, GetRunApiArg>({
        query: (queryArg) => ({ url: `/api/runs/${queryArg.id}` }),
        providesTags: ["Runs"],
      }),
      putRun: build.mutation<PutRunApiResponse, PutRunApiArg>({
        query: (queryArg) => ({
          url: `/api/runs/${queryArg.id}`,
          method: "PUT",
          body: queryArg.runDto,
        }),
        invalidatesTags: ["Runs"],
      }),
      listPalates: build.query<ListPalatesApiResponse, ListPalatesApiArg>({
        query: () => ({ url: `/api/palates` }),
        providesTags: ["Palates"],
      }),
      forgetPalate: build.mutation<ForgetPalateApiResponse, ForgetPalateApiArg>(
        {
          query: (queryArg) => ({
            url: `/api/palates/${queryArg.person}`,
            method: "PUT",
            body: queryArg.palateDto,
          }),
          invalidatesTags: ["Palates"],
        },
      ),
      getStart: build.query<GetStartApiResponse, GetStartApiArg>({
        query: (queryArg) => ({
          url: `/api/start`,
          params: {
            grinderId: queryArg.grinderId,
            coffeeId: queryArg.coffeeId,
            basketId: queryArg.basketId,
            doseGrams: queryArg.doseGrams,
            yieldGrams: queryArg.yieldGrams,
            middleSeconds: queryArg.middleSeconds,
          },
        }),
        providesTags: ["Starts"],
      }),
      getShotTrace: build.query<GetShotTraceApiResponse, GetShotTraceApiArg>({
        query: (queryArg) => ({ url: `/api/shots/${queryArg.id}/trace` }),
        providesTags: ["Shots"],
      }),
      getShotHistory: build.query<
        GetShotHistoryApiResponse,
        GetShotHistoryApiArg
      >({
        query: (queryArg) => ({
          url: `/api/shots/${queryArg.id}/history`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
          },
        }),
        providesTags: ["Shots"],
      }),
      listShots: build.query<ListShotsApiResponse, ListShotsApiArg>({
        query: (queryArg) => ({
          url: `/api/shots`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Shots"],
      }),
      getShot: build.query<GetShotApiResponse, GetShotApiArg>({
        query: (queryArg) => ({ url: `/api/shots/${queryArg.id}` }),
        providesTags: ["Shots"],
      }),
      putShot: build.mutation<PutShotApiResponse, PutShotApiArg>({
        query: (queryArg) => ({
          url: `/api/shots/${queryArg.id}`,
          method: "PUT",
          body: queryArg.shotDto,
        }),
        invalidatesTags: ["Shots"],
      }),
      listTastings: build.query<ListTastingsApiResponse, ListTastingsApiArg>({
        query: (queryArg) => ({
          url: `/api/tastings`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Tastings"],
      }),
      getTasting: build.query<GetTastingApiResponse, GetTastingApiArg>({
        query: (queryArg) => ({ url: `/api/tastings/${queryArg.id}` }),
        providesTags: ["Tastings"],
      }),
      putTasting: build.mutation<PutTastingApiResponse, PutTastingApiArg>({
        query: (queryArg) => ({
          url: `/api/tastings/${queryArg.id}`,
          method: "PUT",
          body: queryArg.tastingDto,
        }),
        invalidatesTags: ["Tastings"],
      }),
      listCards: build.query<ListCardsApiResponse, ListCardsApiArg>({
        query: (queryArg) => ({
          url: `/api/cards`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Cards"],
      }),
      getCard: build.query<GetCardApiResponse, GetCardApiArg>({
        query: (queryArg) => ({ url: `/api/cards/${queryArg.id}` }),
        providesTags: ["Cards"],
      }),
      moveFoundTime: build.mutation<
        MoveFoundTimeApiResponse,
        MoveFoundTimeApiArg
      >({
        query: (queryArg) => ({
          url: `/api/cards/${queryArg.id}/found-time`,
          method: "PUT",
          body: queryArg.moveFoundTimeDto,
        }),
        invalidatesTags: ["Cards"],
      }),
      putPrinted: build.mutation<PutPrintedApiResponse, PutPrintedApiArg>({
        query: (queryArg) => ({
          url: `/api/cards/${queryArg.id}/printed`,
          method: "PUT",
          body: queryArg.printedDto,
        }),
        invalidatesTags: ["Cards"],
      }),
      proposeCard: build.mutation<ProposeCardApiResponse, ProposeCardApiArg>({
        query: (queryArg) => ({
          url: `/api/cards/${queryArg.id}/proposals/${queryArg.proposalId}`,
          method: "PUT",
          body: queryArg.proposeCardDto,
        }),
        invalidatesTags: ["Cards"],
      }),
      answerProposal: build.mutation<
        AnswerProposalApiResponse,
        AnswerProposalApiArg
      >({
        query: (queryArg) => ({
          url: `/api/card-proposals/${queryArg.id}/answer`,
          method: "PUT",
          body: queryArg.answerProposalDto,
        }),
        invalidatesTags: ["Cards"],
      }),
      getLastPulled: build.query<GetLastPulledApiResponse, GetLastPulledApiArg>(
        {
          query: (queryArg) => ({
            url: `/api/cards/${queryArg.id}/last-pulled`,
            params: {
              person: queryArg.person,
            },
          }),
          providesTags: ["Cards"],
        },
      ),
      keepCard: build.mutation<KeepCardApiResponse, KeepCardApiArg>({
        query: (queryArg) => ({
          url: `/api/runs/${queryArg.runId}/card`,
          method: "PUT",
          body: queryArg.keepCardDto,
        }),
        invalidatesTags: ["Cards"],
      }),
      getBoard: build.query<GetBoardApiResponse, GetBoardApiArg>({
        query: () => ({ url: `/api/board` }),
        providesTags: ["Board"],
      }),
      setUpStation: build.mutation<SetUpStationApiResponse, SetUpStationApiArg>(
        {
          query: (queryArg) => ({
            url: `/api/setup/${queryArg.stationId}`,
            method: "PUT",
            body: queryArg.setupDto,
          }),
          invalidatesTags: ["Setup"],
        },
      ),
      listBarScales: build.query<ListBarScalesApiResponse, ListBarScalesApiArg>(
        {
          query: (queryArg) => ({
            url: `/api/scales`,
            params: {
              page: queryArg.page,
              pageSize: queryArg.pageSize,
              state: queryArg.state,
              coffeeId: queryArg.coffeeId,
              stationId: queryArg.stationId,
              runId: queryArg.runId,
              grinderId: queryArg.grinderId,
              basketId: queryArg.basketId,
            },
          }),
          providesTags: ["BarScales"],
        },
      ),
      getBarScale: build.query<GetBarScaleApiResponse, GetBarScaleApiArg>({
        query: (queryArg) => ({ url: `/api/scales/${queryArg.id}` }),
        providesTags: ["BarScales"],
      }),
      putBarScale: build.mutation<PutBarScaleApiResponse, PutBarScaleApiArg>({
        query: (queryArg) => ({
          url: `/api/scales/${queryArg.id}`,
          method: "PUT",
          body: queryArg.barScaleDto,
        }),
        invalidatesTags: ["BarScales"],
      }),
      getTimedDose: build.query<GetTimedDoseApiResponse, GetTimedDoseApiArg>({
        query: (queryArg) => ({
          url: `/api/weighings/of/${queryArg.grinderId}`,
        }),
        providesTags: ["DoseWeighings"],
      }),
      listDoseWeighings: build.query<
        ListDoseWeighingsApiResponse,
        ListDoseWeighingsApiArg
      >({
        query: (queryArg) => ({
          url: `/api/weighings`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["DoseWeighings"],
      }),
      getDoseWeighing: build.query<
        GetDoseWeighingApiResponse,
        GetDoseWeighingApiArg
      >({
        query: (queryArg) => ({ url: `/api/weighings/${queryArg.id}` }),
        providesTags: ["DoseWeighings"],
      }),
      putDoseWeighing: build.mutation<
        PutDoseWeighingApiResponse,
        PutDoseWeighingApiArg
      >({
        query: (queryArg) => ({
          url: `/api/weighings/${queryArg.id}`,
          method: "PUT",
          body: queryArg.doseWeighingDto,
        }),
        invalidatesTags: ["DoseWeighings"],
      }),
      listFoundDoses: build.query<
        ListFoundDosesApiResponse,
        ListFoundDosesApiArg
      >({
        query: (queryArg) => ({
          url: `/api/doses`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["FoundDoses"],
      }),
      getFoundDose: build.query<GetFoundDoseApiResponse, GetFoundDoseApiArg>({
        query: (queryArg) => ({ url: `/api/doses/${queryArg.id}` }),
        providesTags: ["FoundDoses"],
      }),
      putFoundDose: build.mutation<PutFoundDoseApiResponse, PutFoundDoseApiArg>(
        {
          query: (queryArg) => ({
            url: `/api/doses/${queryArg.id}`,
            method: "PUT",
            body: queryArg.foundDoseDto,
          }),
          invalidatesTags: ["FoundDoses"],
        },
      ),
      listOwnMethods: build.query<
        ListOwnMethodsApiResponse,
        ListOwnMethodsApiArg
      >({
        query: (queryArg) => ({
          url: `/api/methods`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["OwnMethods"],
      }),
      getOwnMethod: build.query<GetOwnMethodApiResponse, GetOwnMethodApiArg>({
        query: (queryArg) => ({ url: `/api/methods/${queryArg.id}` }),
        providesTags: ["OwnMethods"],
      }),
      putOwnMethod: build.mutation<PutOwnMethodApiResponse, PutOwnMethodApiArg>(
        {
          query: (queryArg) => ({
            url: `/api/methods/${queryArg.id}`,
            method: "PUT",
            body: queryArg.ownMethodDto,
          }),
          invalidatesTags: ["OwnMethods"],
        },
      ),
      listOpenings: build.query<ListOpeningsApiResponse, ListOpeningsApiArg>({
        query: (queryArg) => ({
          url: `/api/openings`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Openings"],
      }),
      getOpening: build.query<GetOpeningApiResponse, GetOpeningApiArg>({
        query: (queryArg) => ({ url: `/api/openings/${queryArg.id}` }),
        providesTags: ["Openings"],
      }),
      putOpening: build.mutation<PutOpeningApiResponse, PutOpeningApiArg>({
        query: (queryArg) => ({
          url: `/api/openings/${queryArg.id}`,
          method: "PUT",
          body: queryArg.openingDto,
        }),
        invalidatesTags: ["Openings"],
      }),
      getStock: build.query<GetStockApiResponse, GetStockApiArg>({
        query: () => ({ url: `/api/stock` }),
        providesTags: ["Shelf"],
      }),
      getWear: build.query<GetWearApiResponse, GetWearApiArg>({
        query: () => ({ url: `/api/wear` }),
        providesTags: ["Shelf"],
      }),
      getTastedToday: build.query<
        GetTastedTodayApiResponse,
        GetTastedTodayApiArg
      >({
        query: () => ({ url: `/api/tasted-today` }),
        providesTags: ["Shelf"],
      }),
      getCalendar: build.query<GetCalendarApiResponse, GetCalendarApiArg>({
        query: () => ({ url: `/api/calendar.ics` }),
        providesTags: ["Calendar"],
      }),
      askAdvice: build.mutation<AskAdviceApiResponse, AskAdviceApiArg>({
        query: (queryArg) => ({
          url: `/api/advice`,
          method: "POST",
          body: queryArg.body,
        }),
        invalidatesTags: ["Advice"],
      }),
      getLiveness: build.query<GetLivenessApiResponse, GetLivenessApiArg>({
        query: () => ({ url: `/api/health/live` }),
        providesTags: ["Health"],
      }),
      getHealth: build.query<GetHealthApiResponse, GetHealthApiArg>({
        query: () => ({ url: `/api/health` }),
        providesTags: ["Health"],
      }),
      listCorrections: build.query<
        ListCorrectionsApiResponse,
        ListCorrectionsApiArg
      >({
        query: () => ({ url: `/api/corrections` }),
        providesTags: ["Corrections"],
      }),
      listPeople: build.query<ListPeopleApiResponse, ListPeopleApiArg>({
        query: (queryArg) => ({
          url: `/api/people`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["People"],
      }),
      getPerson: build.query<GetPersonApiResponse, GetPersonApiArg>({
        query: (queryArg) => ({ url: `/api/people/${queryArg.id}` }),
        providesTags: ["People"],
      }),
      putPerson: build.mutation<PutPersonApiResponse, PutPersonApiArg>({
        query: (queryArg) => ({
          url: `/api/people/${queryArg.id}`,
          method: "PUT",
          body: queryArg.personDto,
        }),
        invalidatesTags: ["People"],
      }),
      getStationDay: build.query<GetStationDayApiResponse, GetStationDayApiArg>(
        {
          query: (queryArg) => ({
            url: `/api/stations/${queryArg.id}/day`,
            params: {
              day: queryArg.day,
            },
          }),
          providesTags: ["Day"],
        },
      ),
      putSeveralShots: build.mutation<
        PutSeveralShotsApiResponse,
        PutSeveralShotsApiArg
      >({
        query: (queryArg) => ({
          url: `/api/several-shots`,
          method: "PUT",
          body: queryArg.severalShotsDto,
        }),
        invalidatesTags: ["Day"],
      }),
      listCoffeeChanges: build.query<
        ListCoffeeChangesApiResponse,
        ListCoffeeChangesApiArg
      >({
        query: (queryArg) => ({
          url: `/api/coffee-changes`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["CoffeeChanges"],
      }),
      getCoffeeChange: build.query<
        GetCoffeeChangeApiResponse,
        GetCoffeeChangeApiArg
      >({
        query: (queryArg) => ({ url: `/api/coffee-changes/${queryArg.id}` }),
        providesTags: ["CoffeeChanges"],
      }),
      putCoffeeChange: build.mutation<
        PutCoffeeChangeApiResponse,
        PutCoffeeChangeApiArg
      >({
        query: (queryArg) => ({
          url: `/api/coffee-changes/${queryArg.id}`,
          method: "PUT",
          body: queryArg.coffeeChangeDto,
        }),
        invalidatesTags: ["CoffeeChanges"],
      }),
      getProposal: build.query<GetProposalApiResponse, GetProposalApiArg>({
        query: (queryArg) => ({
          url: `/api/stations/${queryArg.id}/proposal`,
          params: {
            coffeeId: queryArg.coffeeId,
          },
        }),
        providesTags: ["Proposals"],
      }),
      listDayMoves: build.query<ListDayMovesApiResponse, ListDayMovesApiArg>({
        query: (queryArg) => ({
          url: `/api/day-moves`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["DayMoves"],
      }),
      getDayMove: build.query<GetDayMoveApiResponse, GetDayMoveApiArg>({
        query: (queryArg) => ({ url: `/api/day-moves/${queryArg.id}` }),
        providesTags: ["DayMoves"],
      }),
      putDayMove: build.mutation<PutDayMoveApiResponse, PutDayMoveApiArg>({
        query: (queryArg) => ({
          url: `/api/day-moves/${queryArg.id}`,
          method: "PUT",
          body: queryArg.dayMoveDto,
        }),
        invalidatesTags: ["DayMoves"],
      }),
      listStationEvents: build.query<
        ListStationEventsApiResponse,
        ListStationEventsApiArg
      >({
        query: (queryArg) => ({
          url: `/api/station-events`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["StationEvents"],
      }),
      getStationEvent: build.query<
        GetStationEventApiResponse,
        GetStationEventApiArg
      >({
        query: (queryArg) => ({ url: `/api/station-events/${queryArg.id}` }),
        providesTags: ["StationEvents"],
      }),
      putStationEvent: build.mutation<
        PutStationEventApiResponse,
        PutStationEventApiArg
      >({
        query: (queryArg) => ({
          url: `/api/station-events/${queryArg.id}`,
          method: "PUT",
          body: queryArg.stationEventDto,
        }),
        invalidatesTags: ["StationEvents"],
      }),
      holdKeeper: build.mutation<HoldKeeperApiResponse, HoldKeeperApiArg>({
        query: (queryArg) => ({
          url: `/api/keepers/${queryArg.id}/hold`,
          method: "POST",
        }),
        invalidatesTags: ["Keepers"],
      }),
      goOnKeeping: build.mutation<GoOnKeepingApiResponse, GoOnKeepingApiArg>({
        query: (queryArg) => ({
          url: `/api/keepers/${queryArg.id}/go-on`,
          method: "POST",
        }),
        invalidatesTags: ["Keepers"],
      }),
      listKeepers: build.query<ListKeepersApiResponse, ListKeepersApiArg>({
        query: (queryArg) => ({
          url: `/api/keepers`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Keepers"],
      }),
      getKeeper: build.query<GetKeeperApiResponse, GetKeeperApiArg>({
        query: (queryArg) => ({ url: `/api/keepers/${queryArg.id}` }),
        providesTags: ["Keepers"],
      }),
      putKeeper: build.mutation<PutKeeperApiResponse, PutKeeperApiArg>({
        query: (queryArg) => ({
          url: `/api/keepers/${queryArg.id}`,
          method: "PUT",
          body: queryArg.keeperDto,
        }),
        invalidatesTags: ["Keepers"],
      }),
      getBasketTable: build.query<
        GetBasketTableApiResponse,
        GetBasketTableApiArg
      >({
        query: (queryArg) => ({
          url: `/api/basket-table`,
          params: {
            coffeeId: queryArg.coffeeId,
            cardId: queryArg.cardId,
          },
        }),
        providesTags: ["BasketTable"],
      }),
      listBasketRows: build.query<
        ListBasketRowsApiResponse,
        ListBasketRowsApiArg
      >({
        query: (queryArg) => ({
          url: `/api/basket-rows`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["BasketRows"],
      }),
      getBasketRow: build.query<GetBasketRowApiResponse, GetBasketRowApiArg>({
        query: (queryArg) => ({ url: `/api/basket-rows/${queryArg.id}` }),
        providesTags: ["BasketRows"],
      }),
      putBasketRow: build.mutation<PutBasketRowApiResponse, PutBasketRowApiArg>(
        {
          query: (queryArg) => ({
            url: `/api/basket-rows/${queryArg.id}`,
            method: "PUT",
            body: queryArg.basketRowDto,
          }),
          invalidatesTags: ["BasketRows"],
        },
      ),
      getCare: build.query<GetCareApiResponse, GetCareApiArg>({
        query: () => ({ url: `/api/care` }),
        providesTags: ["Care"],
      }),
      listCareDone: build.query<ListCareDoneApiResponse, ListCareDoneApiArg>({
        query: (queryArg) => ({
          url: `/api/care-done`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["CareDone"],
      }),
      getCareDone: build.query<GetCareDoneApiResponse, GetCareDoneApiArg>({
        query: (queryArg) => ({ url: `/api/care-done/${queryArg.id}` }),
        providesTags: ["CareDone"],
      }),
      putCareDone: build.mutation<PutCareDoneApiResponse, PutCareDoneApiArg>({
        query: (queryArg) => ({
          url: `/api/care-done/${queryArg.id}`,
          method: "PUT",
          body: queryArg.careDoneDto,
        }),
        invalidatesTags: ["CareDone"],
      }),
      listCareRules: build.query<ListCareRulesApiResponse, ListCareRulesApiArg>(
        {
          query: (queryArg) => ({
            url: `/api/care-rules`,
            params: {
              page: queryArg.page,
              pageSize: queryArg.pageSize,
              state: queryArg.state,
              coffeeId: queryArg.coffeeId,
              stationId: queryArg.stationId,
              runId: queryArg.runId,
              grinderId: queryArg.grinderId,
              basketId: queryArg.basketId,
            },
          }),
          providesTags: ["CareRules"],
        },
      ),
      getCareRule: build.query<GetCareRuleApiResponse, GetCareRuleApiArg>({
        query: (queryArg) => ({ url: `/api/care-rules/${queryArg.id}` }),
        providesTags: ["CareRules"],
      }),
      putCareRule: build.mutation<PutCareRuleApiResponse, PutCareRuleApiArg>({
        query: (queryArg) => ({
          url: `/api/care-rules/${queryArg.id}`,
          method: "PUT",
          body: queryArg.careRuleDto,
        }),
        invalidatesTags: ["CareRules"],
      }),
      listPreparations: build.query<
        ListPreparationsApiResponse,
        ListPreparationsApiArg
      >({
        query: (queryArg) => ({
          url: `/api/preparations`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Preparations"],
      }),
      getPreparation: build.query<
        GetPreparationApiResponse,
        GetPreparationApiArg
      >({
        query: (queryArg) => ({ url: `/api/preparations/${queryArg.id}` }),
        providesTags: ["Preparations"],
      }),
      putPreparation: build.mutation<
        PutPreparationApiResponse,
        PutPreparationApiArg
      >({
        query: (queryArg) => ({
          url: `/api/preparations/${queryArg.id}`,
          method: "PUT",
          body: queryArg.preparationDto,
        }),
        invalidatesTags: ["Preparations"],
      }),
      getPrepared: build.query<GetPreparedApiResponse, GetPreparedApiArg>({
        query: (queryArg) => ({ url: `/api/stations/${queryArg.id}/prepared` }),
        providesTags: ["Prepared"],
      }),
      listDrinks: build.query<ListDrinksApiResponse, ListDrinksApiArg>({
        query: (queryArg) => ({
          url: `/api/drinks`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Drinks"],
      }),
      getDrink: build.query<GetDrinkApiResponse, GetDrinkApiArg>({
        query: (queryArg) => ({ url: `/api/drinks/${queryArg.id}` }),
        providesTags: ["Drinks"],
      }),
      putDrink: build.mutation<PutDrinkApiResponse, PutDrinkApiArg>({
        query: (queryArg) => ({
          url: `/api/drinks/${queryArg.id}`,
          method: "PUT",
          body: queryArg.drinkDto,
        }),
        invalidatesTags: ["Drinks"],
      }),
      listMachineButtons: build.query<
        ListMachineButtonsApiResponse,
        ListMachineButtonsApiArg
      >({
        query: (queryArg) => ({
          url: `/api/machine-buttons`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["MachineButtons"],
      }),
      getMachineButton: build.query<
        GetMachineButtonApiResponse,
        GetMachineButtonApiArg
      >({
        query: (queryArg) => ({ url: `/api/machine-buttons/${queryArg.id}` }),
        providesTags: ["MachineButtons"],
      }),
      putMachineButton: build.mutation<
        PutMachineButtonApiResponse,
        PutMachineButtonApiArg
      >({
        query: (queryArg) => ({
          url: `/api/machine-buttons/${queryArg.id}`,
          method: "PUT",
          body: queryArg.machineButtonDto,
        }),
        invalidatesTags: ["MachineButtons"],
      }),
      listLearnedHere: build.query<
        ListLearnedHereApiResponse,
        ListLearnedHereApiArg
      >({
        query: () => ({ url: `/api/learned-here` }),
        providesTags: ["Effects"],
      }),
      listHandOvers: build.query<ListHandOversApiResponse, ListHandOversApiArg>(
        {
          query: (queryArg) => ({
            url: `/api/hand-overs`,
            params: {
              page: queryArg.page,
              pageSize: queryArg.pageSize,
              state: queryArg.state,
              coffeeId: queryArg.coffeeId,
              stationId: queryArg.stationId,
              runId: queryArg.runId,
              grinderId: queryArg.grinderId,
              basketId: queryArg.basketId,
            },
          }),
          providesTags: ["HandOvers"],
        },
      ),
      getHandOver: build.query<GetHandOverApiResponse, GetHandOverApiArg>({
        query: (queryArg) => ({ url: `/api/hand-overs/${queryArg.id}` }),
        providesTags: ["HandOvers"],
      }),
      putHandOver: build.mutation<PutHandOverApiResponse, PutHandOverApiArg>({
        query: (queryArg) => ({
          url: `/api/hand-overs/${queryArg.id}`,
          method: "PUT",
          body: queryArg.handOverDto,
        }),
        invalidatesTags: ["HandOvers"],
      }),
      getHappened: build.query<GetHappenedApiResponse, GetHappenedApiArg>({
        query: (queryArg) => ({
          url: `/api/happened`,
          params: {
            since: queryArg.since,
          },
        }),
        providesTags: ["Happened"],
      }),
      listRoomReadings: build.query<
        ListRoomReadingsApiResponse,
        ListRoomReadingsApiArg
      >({
        query: (queryArg) => ({
          url: `/api/room-readings`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["RoomReadings"],
      }),
      getRoomReading: build.query<
        GetRoomReadingApiResponse,
        GetRoomReadingApiArg
      >({
        query: (queryArg) => ({ url: `/api/room-readings/${queryArg.id}` }),
        providesTags: ["RoomReadings"],
      }),
      putRoomReading: build.mutation<
        PutRoomReadingApiResponse,
        PutRoomReadingApiArg
      >({
        query: (queryArg) => ({
          url: `/api/room-readings/${queryArg.id}`,
          method: "PUT",
          body: queryArg.roomReadingDto,
        }),
        invalidatesTags: ["RoomReadings"],
      }),
      commandDevice: build.mutation<
        CommandDeviceApiResponse,
        CommandDeviceApiArg
      >({
        query: (queryArg) => ({
          url: `/api/devices/${queryArg.id}/commands`,
          method: "POST",
          body: queryArg.deviceCommandDto,
        }),
        invalidatesTags: ["Devices"],
      }),
      getRecentReports: build.query<
        GetRecentReportsApiResponse,
        GetRecentReportsApiArg
      >({
        query: (queryArg) => ({
          url: `/api/devices/${queryArg.id}/reports`,
          params: {
            session: queryArg.session,
            after: queryArg.after,
          },
        }),
        providesTags: ["Devices"],
      }),
      listDevices: build.query<ListDevicesApiResponse, ListDevicesApiArg>({
        query: (queryArg) => ({
          url: `/api/devices`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Devices"],
      }),
      getDevice: build.query<GetDeviceApiResponse, GetDeviceApiArg>({
        query: (queryArg) => ({ url: `/api/devices/${queryArg.id}` }),
        providesTags: ["Devices"],
      }),
      putDevice: build.mutation<PutDeviceApiResponse, PutDeviceApiArg>({
        query: (queryArg) => ({
          url: `/api/devices/${queryArg.id}`,
          method: "PUT",
          body: queryArg.deviceDto,
        }),
        invalidatesTags: ["Devices"],
      }),
      listOpenPulls: build.query<ListOpenPullsApiResponse, ListOpenPullsApiArg>(
        {
          query: () => ({ url: `/api/pulls` }),
          providesTags: ["Pulls"],
        },
      ),
      getPull: build.query<GetPullApiResponse, GetPullApiArg>({
        query: (queryArg) => ({ url: `/api/pulls/${queryArg.id}` }),
        providesTags: ["Pulls"],
      }),
      putPull: build.mutation<PutPullApiResponse, PutPullApiArg>({
        query: (queryArg) => ({
          url: `/api/pulls/${queryArg.id}`,
          method: "PUT",
          body: queryArg.pullDto,
        }),
        invalidatesTags: ["Pulls"],
      }),
      askForPull: build.mutation<AskForPullApiResponse, AskForPullApiArg>({
        query: (queryArg) => ({
          url: `/api/pulls/${queryArg.id}/asked`,
          method: "POST",
          body: queryArg.askPullDto,
        }),
        invalidatesTags: ["Pulls"],
      }),
      givePull: build.mutation<GivePullApiResponse, GivePullApiArg>({
        query: (queryArg) => ({
          url: `/api/pulls/${queryArg.id}/holder`,
          method: "POST",
          body: queryArg.givePullDto,
        }),
        invalidatesTags: ["Pulls"],
      }),
      exportShop: build.query<ExportShopApiResponse, ExportShopApiArg>({
        query: () => ({ url: `/api/export/shop.zip` }),
        providesTags: ["Exports"],
      }),
      exportTable: build.query<ExportTableApiResponse, ExportTableApiArg>({
        query: (queryArg) => ({ url: `/api/export/tables/${queryArg.file}` }),
        providesTags: ["Exports"],
      }),
      exportCard: build.query<ExportCardApiResponse, ExportCardApiArg>({
        query: (queryArg) => ({ url: `/api/export/cards/${queryArg.file}` }),
        providesTags: ["Exports"],
      }),
      listImports: build.query<ListImportsApiResponse, ListImportsApiArg>({
        query: (queryArg) => ({
          url: `/api/imports`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["Imports"],
      }),
      getImport: build.query<GetImportApiResponse, GetImportApiArg>({
        query: (queryArg) => ({ url: `/api/imports/${queryArg.id}` }),
        providesTags: ["Imports"],
      }),
      putImport: build.mutation<PutImportApiResponse, PutImportApiArg>({
        query: (queryArg) => ({
          url: `/api/imports/${queryArg.id}`,
          method: "PUT",
          body: queryArg.body,
        }),
        invalidatesTags: ["Imports"],
      }),
      listImportRows: build.query<
        ListImportRowsApiResponse,
        ListImportRowsApiArg
      >({
        query: (queryArg) => ({
          url: `/api/imports/${queryArg.id}/rows`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            outcome: queryArg.outcome,
          },
        }),
        providesTags: ["Imports"],
      }),
      getSinceImport: build.query<
        GetSinceImportApiResponse,
        GetSinceImportApiArg
      >({
        query: (queryArg) => ({ url: `/api/imports/${queryArg.id}/since` }),
        providesTags: ["Imports"],
      }),
      takeImport: build.mutation<TakeImportApiResponse, TakeImportApiArg>({
        query: (queryArg) => ({
          url: `/api/imports/${queryArg.id}/taken`,
          method: "PUT",
        }),
        invalidatesTags: ["Imports"],
      }),
      takeBackImport: build.mutation<
        TakeBackImportApiResponse,
        TakeBackImportApiArg
      >({
        query: (queryArg) => ({
          url: `/api/imports/${queryArg.id}/taken-back`,
          method: "PUT",
        }),
        invalidatesTags: ["Imports"],
      }),
      listImportMatches: build.query<
        ListImportMatchesApiResponse,
        ListImportMatchesApiArg
      >({
        query: (queryArg) => ({
          url: `/api/import-matches`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            state: queryArg.state,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
            grinderId: queryArg.grinderId,
            basketId: queryArg.basketId,
          },
        }),
        providesTags: ["ImportMatches"],
      }),
    }),
    overrideExisting: false,
  });
export { injectedRtkApi as generatedApi };
export type GetDoorApiResponse = /** status 200  */ DoorView;
export type GetDoorApiArg = void;
export type EnterApiResponse = /** status 200  */ DoorView;
export type EnterApiArg = {
  enterDto: EnterDto;
};
export type ListTabletsApiResponse = /** status 200  */ TabletView[];
export type ListTabletsApiArg = void;
export type LetOutTabletApiResponse = /** status 200  */ TabletView[];
export type LetOutTabletApiArg = {
  id: string;
};
export type GetShopApiResponse = /** status 200  */ ShopView;
export type GetShopApiArg = void;
export type PutShopApiResponse = /** status 200  */ ShopView;
export type PutShopApiArg = {
  shopDto: ShopDto;
};
export type ListGrindersApiResponse = /** status 200  */ GrinderPage;
export type ListGrindersApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetGrinderApiResponse = /** status 200  */ GrinderView;
export type GetGrinderApiArg = {
  id: string;
};
export type PutGrinderApiResponse = /** status 200  */ GrinderView;
export type PutGrinderApiArg = {
  id: string;
  grinderDto: GrinderDto;
};
export type ListMachinesApiResponse = /** status 200  */ MachinePage;
export type ListMachinesApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetMachineApiResponse = /** status 200  */ MachineView;
export type GetMachineApiArg = {
  id: string;
};
export type PutMachineApiResponse = /** status 200  */ MachineView;
export type PutMachineApiArg = {
  id: string;
  machineDto: MachineDto;
};
export type ListBasketsApiResponse = /** status 200  */ BasketPage;
export type ListBasketsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetBasketApiResponse = /** status 200  */ BasketView;
export type GetBasketApiArg = {
  id: string;
};
export type PutBasketApiResponse = /** status 200  */ BasketView;
export type PutBasketApiArg = {
  id: string;
  basketDto: BasketDto;
};
export type ListCoffeesApiResponse = /** status 200  */ CoffeePage;
export type ListCoffeesApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetCoffeeApiResponse = /** status 200  */ CoffeeView;
export type GetCoffeeApiArg = {
  id: string;
};
export type PutCoffeeApiResponse = /** status 200  */ CoffeeView;
export type PutCoffeeApiArg = {
  id: string;
  coffeeDto: CoffeeDto;
};
export type ListBagsApiResponse = /** status 200  */ BagPage;
export type ListBagsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetBagApiResponse = /** status 200  */ BagView;
export type GetBagApiArg = {
  id: string;
};
export type PutBagApiResponse = /** status 200  */ BagView;
export type PutBagApiArg = {
  id: string;
  bagDto: BagDto;
};
export type ListStationsApiResponse = /** status 200  */ StationPage;
export type ListStationsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetStationApiResponse = /** status 200  */ StationView;
export type GetStationApiArg = {
  id: string;
};
export type PutStationApiResponse = /** status 200  */ StationView;
export type PutStationApiArg = {
  id: string;
  stationDto: StationDto;
};
export type GetSheetApiResponse = /** status 200  */ SheetView;
export type GetSheetApiArg = {
  id: string;
};
export type ListRunsApiResponse = /** status 200  */ RunPage;
export type ListRunsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetRunApiResponse = /** status 200  */ RunView;
export type GetRunApiArg = {
  id: string;
};
export type PutRunApiResponse = /** status 200  */ RunView;
export type PutRunApiArg = {
  id: string;
  runDto: RunDto;
};
export type ListPalatesApiResponse = /** status 200  */ PalateView[];
export type ListPalatesApiArg = void;
export type ForgetPalateApiResponse = unknown;
export type ForgetPalateApiArg = {
  person: string;
  palateDto: PalateDto;
};
export type GetStartApiResponse = /** status 200  */ StartView;
export type GetStartApiArg = {
  grinderId: string;
  coffeeId: string;
  basketId: string;
  doseGrams: number;
  yieldGrams: number;
  /** Middle of the wanted window */
  middleSeconds: number;
};
export type GetShotTraceApiResponse = /** status 200  */ TraceView;
export type GetShotTraceApiArg = {
  id: string;
};
export type GetShotHistoryApiResponse = /** status 200  */ ShotEditPage;
export type GetShotHistoryApiArg = {
  id: string;
  page?: number | null;
  pageSize?: number | null;
};
export type ListShotsApiResponse = /** status 200  */ ShotPage;
export type ListShotsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetShotApiResponse = /** status 200  */ ShotView;
export type GetShotApiArg = {
  id: string;
};
export type PutShotApiResponse = /** status 200  */ ShotView;
export type PutShotApiArg = {
  id: string;
  shotDto: ShotDto;
};
export type ListTastingsApiResponse = /** status 200  */ TastingPage;
export type ListTastingsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetTastingApiResponse = /** status 200  */ TastingView;
export type GetTastingApiArg = {
  id: string;
};
export type PutTastingApiResponse = /** status 200  */ TastingView;
export type PutTastingApiArg = {
  id: string;
  tastingDto: TastingDto;
};
export type ListCardsApiResponse = /** status 200  */ CardPage;
export type ListCardsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetCardApiResponse = /** status 200  */ CardDetailView;
export type GetCardApiArg = {
  id: string;
};
export type MoveFoundTimeApiResponse = /** status 200  */ CardDetailView;
export type MoveFoundTimeApiArg = {
  id: string;
  moveFoundTimeDto: MoveFoundTimeDto;
};
export type PutPrintedApiResponse = /** status 200  */ CardDetailView;
export type PutPrintedApiArg = {
  id: string;
  printedDto: PrintedDto;
};
export type ProposeCardApiResponse = /** status 200  */ CardDetailView;
export type ProposeCardApiArg = {
  id: string;
  proposalId: string;
  proposeCardDto: ProposeCardDto;
};
export type AnswerProposalApiResponse = /** status 200  */ CardDetailView;
export type AnswerProposalApiArg = {
  id: string;
  answerProposalDto: AnswerProposalDto;
};
export type GetLastPulledApiResponse = /** status 200  */ LastPulledView;
export type GetLastPulledApiArg = {
  id: string;
  /** First name */
  person: string;
};
export type KeepCardApiResponse = /** status 200  */ CardDetailView;
export type KeepCardApiArg = {
  runId: string;
  keepCardDto: KeepCardDto;
};
export type GetBoardApiResponse = /** status 200  */ BoardView;
export type GetBoardApiArg = void;
export type SetUpStationApiResponse = /** status 200  */ RunView;
export type SetUpStationApiArg = {
  stationId: string;
  setupDto: SetupDto;
};
export type ListBarScalesApiResponse = /** status 200  */ BarScalePage;
export type ListBarScalesApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetBarScaleApiResponse = /** status 200  */ BarScaleView;
export type GetBarScaleApiArg = {
  id: string;
};
export type PutBarScaleApiResponse = /** status 200  */ BarScaleView;
export type PutBarScaleApiArg = {
  id: string;
  barScaleDto: BarScaleDto;
};
export type GetTimedDoseApiResponse = /** status 200  */ TimedDoseDeskView;
export type GetTimedDoseApiArg = {
  grinderId: string;
};
export type ListDoseWeighingsApiResponse = /** status 200  */ DoseWeighingPage;
export type ListDoseWeighingsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetDoseWeighingApiResponse = /** status 200  */ DoseWeighingView;
export type GetDoseWeighingApiArg = {
  id: string;
};
export type PutDoseWeighingApiResponse = /** status 200  */ DoseWeighingView;
export type PutDoseWeighingApiArg = {
  id: string;
  doseWeighingDto: DoseWeighingDto;
};
export type ListFoundDosesApiResponse = /** status 200  */ FoundDosePage;
export type ListFoundDosesApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetFoundDoseApiResponse = /** status 200  */ FoundDoseView;
export type GetFoundDoseApiArg = {
  id: string;
};
export type PutFoundDoseApiResponse = /** status 200  */ FoundDoseView;
export type PutFoundDoseApiArg = {
  id: string;
  foundDoseDto: FoundDoseDto;
};
export type ListOwnMethodsApiResponse = /** status 200  */ OwnMethodPage;
export type ListOwnMethodsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetOwnMethodApiResponse = /** status 200  */ OwnMethodView;
export type GetOwnMethodApiArg = {
  id: string;
};
export type PutOwnMethodApiResponse = /** status 200  */ OwnMethodView;
export type PutOwnMethodApiArg = {
  id: string;
  ownMethodDto: OwnMethodDto;
};
export type ListOpeningsApiResponse = /** status 200  */ OpeningPage;
export type ListOpeningsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetOpeningApiResponse = /** status 200  */ OpeningView;
export type GetOpeningApiArg = {
  id: string;
};
export type PutOpeningApiResponse = /** status 200  */ OpeningView;
export type PutOpeningApiArg = {
  id: string;
  openingDto: OpeningDto;
};
export type GetStockApiResponse = /** status 200  */ StockView;
export type GetStockApiArg = void;
export type GetWearApiResponse = /** status 200  */ WearView[];
export type GetWearApiArg = void;
export type GetTastedTodayApiResponse = /** status 200  */ TastedTodayView[];
export type GetTastedTodayApiArg = void;
export type GetCalendarApiResponse = /** status 200  */ string;
export type GetCalendarApiArg = void;
export type AskAdviceApiResponse = /** status 200  */ {
  [key: string]: any;
};
export type AskAdviceApiArg = {
  body: {
    [key: string]: any;
  };
};
export type GetLivenessApiResponse = /** status 200  */ LiveView;
export type GetLivenessApiArg = void;
export type GetHealthApiResponse = /** status 200  */ ReadyView;
export type GetHealthApiArg = void;
export type ListCorrectionsApiResponse = /** status 200  */ CorrectionView[];
export type ListCorrectionsApiArg = void;
export type ListPeopleApiResponse = /** status 200  */ PersonPage;
export type ListPeopleApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetPersonApiResponse = /** status 200  */ PersonView;
export type GetPersonApiArg = {
  id: string;
};
export type PutPersonApiResponse = /** status 200  */ PersonView;
export type PutPersonApiArg = {
  id: string;
  personDto: PersonDto;
};
export type GetStationDayApiResponse = /** status 200  */ DayView;
export type GetStationDayApiArg = {
  id: string;
  /** The shop’s day; today where left out */
  day?: string | null;
};
export type PutSeveralShotsApiResponse = /** status 200  */ SeveralShotsView;
export type PutSeveralShotsApiArg = {
  severalShotsDto: SeveralShotsDto;
};
export type ListCoffeeChangesApiResponse = /** status 200  */ CoffeeChangePage;
export type ListCoffeeChangesApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetCoffeeChangeApiResponse = /** status 200  */ CoffeeChangeView;
export type GetCoffeeChangeApiArg = {
  id: string;
};
export type PutCoffeeChangeApiResponse = /** status 200  */ CoffeeChangeView;
export type PutCoffeeChangeApiArg = {
  id: string;
  coffeeChangeDto: CoffeeChangeDto;
};
export type GetProposalApiResponse = /** status 200  */ ProposalView;
export type GetProposalApiArg = {
  id: string;
  coffeeId: string;
};
export type ListDayMovesApiResponse = /** status 200  */ DayMovePage;
export type ListDayMovesApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetDayMoveApiResponse = /** status 200  */ DayMoveView;
export type GetDayMoveApiArg = {
  id: string;
};
export type PutDayMoveApiResponse = /** status 200  */ DayMoveView;
export type PutDayMoveApiArg = {
  id: string;
  dayMoveDto: DayMoveDto;
};
export type ListStationEventsApiResponse = /** status 200  */ StationEventPage;
export type ListStationEventsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetStationEventApiResponse = /** status 200  */ StationEventView;
export type GetStationEventApiArg = {
  id: string;
};
export type PutStationEventApiResponse = /** status 200  */ StationEventView;
export type PutStationEventApiArg = {
  id: string;
  stationEventDto: StationEventDto;
};
export type HoldKeeperApiResponse = /** status 200  */ KeeperView;
export type HoldKeeperApiArg = {
  id: string;
};
export type GoOnKeepingApiResponse = /** status 200  */ KeeperView;
export type GoOnKeepingApiArg = {
  id: string;
};
export type ListKeepersApiResponse = /** status 200  */ KeeperPage;
export type ListKeepersApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetKeeperApiResponse = /** status 200  */ KeeperView;
export type GetKeeperApiArg = {
  id: string;
};
export type PutKeeperApiResponse = /** status 200  */ KeeperView;
export type PutKeeperApiArg = {
  id: string;
  keeperDto: KeeperDto;
};
export type GetBasketTableApiResponse = /** status 200  */ BasketTableView;
export type GetBasketTableApiArg = {
  /** The coffee */
  coffeeId: string;
  /** The card it is made from; left out: the one changed last */
  cardId?: string | null;
};
export type ListBasketRowsApiResponse = /** status 200  */ BasketRowPage;
export type ListBasketRowsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetBasketRowApiResponse = /** status 200  */ BasketRowView;
export type GetBasketRowApiArg = {
  id: string;
};
export type PutBasketRowApiResponse = /** status 200  */ BasketRowView;
export type PutBasketRowApiArg = {
  id: string;
  basketRowDto: BasketRowDto;
};
export type GetCareApiResponse = /** status 200  */ CareView;
export type GetCareApiArg = void;
export type ListCareDoneApiResponse = /** status 200  */ CareDonePage;
export type ListCareDoneApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetCareDoneApiResponse = /** status 200  */ CareDoneView;
export type GetCareDoneApiArg = {
  id: string;
};
export type PutCareDoneApiResponse = /** status 200  */ CareDoneView;
export type PutCareDoneApiArg = {
  id: string;
  careDoneDto: CareDoneDto;
};
export type ListCareRulesApiResponse = /** status 200  */ CareRulePage;
export type ListCareRulesApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetCareRuleApiResponse = /** status 200  */ CareRuleView;
export type GetCareRuleApiArg = {
  id: string;
};
export type PutCareRuleApiResponse = /** status 200  */ CareRuleView;
export type PutCareRuleApiArg = {
  id: string;
  careRuleDto: CareRuleDto;
};
export type ListPreparationsApiResponse = /** status 200  */ PreparationPage;
export type ListPreparationsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetPreparationApiResponse = /** status 200  */ PreparationView;
export type GetPreparationApiArg = {
  id: string;
};
export type PutPreparationApiResponse = /** status 200  */ PreparationView;
export type PutPreparationApiArg = {
  id: string;
  preparationDto: PreparationDto;
};
export type GetPreparedApiResponse = /** status 200  */ PreparedView[];
export type GetPreparedApiArg = {
  id: string;
};
export type ListDrinksApiResponse = /** status 200  */ DrinkPage;
export type ListDrinksApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetDrinkApiResponse = /** status 200  */ DrinkView;
export type GetDrinkApiArg = {
  id: string;
};
export type PutDrinkApiResponse = /** status 200  */ DrinkView;
export type PutDrinkApiArg = {
  id: string;
  drinkDto: DrinkDto;
};
export type ListMachineButtonsApiResponse =
  /** status 200  */ MachineButtonPage;
export type ListMachineButtonsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetMachineButtonApiResponse = /** status 200  */ MachineButtonView;
export type GetMachineButtonApiArg = {
  id: string;
};
export type PutMachineButtonApiResponse = /** status 200  */ MachineButtonView;
export type PutMachineButtonApiArg = {
  id: string;
  machineButtonDto: MachineButtonDto;
};
export type ListLearnedHereApiResponse = /** status 200  */ LearnedHereView[];
export type ListLearnedHereApiArg = void;
export type ListHandOversApiResponse = /** status 200  */ HandOverPage;
export type ListHandOversApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetHandOverApiResponse = /** status 200  */ HandOverView;
export type GetHandOverApiArg = {
  id: string;
};
export type PutHandOverApiResponse = /** status 200  */ HandOverView;
export type PutHandOverApiArg = {
  id: string;
  handOverDto: HandOverDto;
};
export type GetHappenedApiResponse = /** status 200  */ HappenedListView;
export type GetHappenedApiArg = {
  /** From then on; at most two weeks back */
  since: string;
};
export type ListRoomReadingsApiResponse = /** status 200  */ RoomReadingPage;
export type ListRoomReadingsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetRoomReadingApiResponse = /** status 200  */ RoomReadingView;
export type GetRoomReadingApiArg = {
  id: string;
};
export type PutRoomReadingApiResponse = /** status 200  */ RoomReadingView;
export type PutRoomReadingApiArg = {
  id: string;
  roomReadingDto: RoomReadingDto;
};
export type CommandDeviceApiResponse = /** status 200  */ DeviceDoneView;
export type CommandDeviceApiArg = {
  id: string;
  deviceCommandDto: DeviceCommandDto;
};
export type GetRecentReportsApiResponse = /** status 200  */ RecentView;
export type GetRecentReportsApiArg = {
  id: string;
  /** The session of the last report one has */
  session?: string | null;
  /** Its number */
  after?: number | null;
};
export type ListDevicesApiResponse = /** status 200  */ DevicePage;
export type ListDevicesApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetDeviceApiResponse = /** status 200  */ DeviceView;
export type GetDeviceApiArg = {
  id: string;
};
export type PutDeviceApiResponse = /** status 200  */ DeviceView;
export type PutDeviceApiArg = {
  id: string;
  deviceDto: DeviceDto;
};
export type ListOpenPullsApiResponse = /** status 200  */ PullView[];
export type ListOpenPullsApiArg = void;
export type GetPullApiResponse = /** status 200  */ PullView;
export type GetPullApiArg = {
  id: string;
};
export type PutPullApiResponse = /** status 200  */ PullView;
export type PutPullApiArg = {
  id: string;
  pullDto: PullDto;
};
export type AskForPullApiResponse = /** status 200  */ PullView;
export type AskForPullApiArg = {
  id: string;
  askPullDto: AskPullDto;
};
export type GivePullApiResponse = /** status 200  */ PullView;
export type GivePullApiArg = {
  id: string;
  givePullDto: GivePullDto;
};
export type ExportShopApiResponse = /** status 200  */ Blob;
export type ExportShopApiArg = void;
export type ExportTableApiResponse = /** status 200  */ string;
export type ExportTableApiArg = {
  /** The table and its form: shots.csv, shots.json */
  file: string;
};
export type ExportCardApiResponse = /** status 200  */ string;
export type ExportCardApiArg = {
  /** The card and its form: {id}.md, {id}.jsonld */
  file: string;
};
export type ListImportsApiResponse = /** status 200  */ ImportPage;
export type ListImportsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type GetImportApiResponse = /** status 200  */ ImportView;
export type GetImportApiArg = {
  id: string;
};
export type PutImportApiResponse = /** status 200  */ ImportView;
export type PutImportApiArg = {
  id: string;
  body: {
    files: Blob[];
    /** A MatchDto as JSON, for one CSV of another house */
    match?: string;
  };
};
export type ListImportRowsApiResponse = /** status 200  */ ImportRowPage;
export type ListImportRowsApiArg = {
  id: string;
  page?: number | null;
  pageSize?: number | null;
  outcome?: ImportOutcome;
};
export type GetSinceImportApiResponse = /** status 200  */ SinceImportView;
export type GetSinceImportApiArg = {
  id: string;
};
export type TakeImportApiResponse = /** status 200  */ ImportView;
export type TakeImportApiArg = {
  id: string;
};
export type TakeBackImportApiResponse = /** status 200  */ ImportView;
export type TakeBackImportApiArg = {
  id: string;
};
export type ListImportMatchesApiResponse =
  /** status 200  */ RememberedMatchPage;
export type ListImportMatchesApiArg = {
  page?: number | null;
  pageSize?: number | null;
  /** Retired and finished rows are over */
  state?: RowState;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
  grinderId?: string | null;
  basketId?: string | null;
};
export type DoorView = {
  /** Whether whoever asks may use Olvet */
  letIn: boolean;
  /** Whether tablets of the shop’s network may be let in */
  network: boolean;
  /** For the next tablet; only for those let in already */
  code: string | null;
  /** Where tablets find Olvet */
  addresses: string[];
};
export type Problem = {
  type: string;
  title: string;
  status: number;
  detail: string;
  errors: {
    /** The field, like `recipe.grind` or `seen[0].sign` */
    path: string;
    message: string;
  }[];
};
export type EnterDto = {
  /** The six digits shown where Olvet was started and in the Workshop */
  code: string;
  /** What to call this tablet */
  name: string;
};
export type TabletView = {
  id: string;
  name: string;
  letInAt: string;
  seenAt: string;
};
export type TemperatureUnit = "C" | "F";
export type ShopView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** ISO 4217 */
  currency: string;
  temperatureUnit: TemperatureUnit;
  /** IANA name of the shop’s time zone, like Europe/Lisbon */
  timeZone: string;
  /** Hour at which a day begins; shots before it belong to the evening before */
  firstHour: number;
  /** Is a check shot due when a station opens? */
  checkAtOpening?: boolean | null;
  /** When a check shot is due, HH:MM */
  checkTimes?: string[] | null;
  /** Is a check shot due after a new bag? */
  checkAtNewBag?: boolean | null;
  /** How far from its found time a shot may run before a station drifts */
  toleranceSeconds?: number | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  isDemo: boolean;
};
export type ShopDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** ISO 4217 */
  currency: string;
  temperatureUnit: TemperatureUnit;
  /** IANA name of the shop’s time zone, like Europe/Lisbon */
  timeZone: string;
  /** Hour at which a day begins; shots before it belong to the evening before */
  firstHour: number;
  /** Is a check shot due when a station opens? */
  checkAtOpening?: boolean | null;
  /** When a check shot is due, HH:MM */
  checkTimes?: string[] | null;
  /** Is a check shot due after a new bag? */
  checkAtNewBag?: boolean | null;
  /** How far from its found time a shot may run before a station drifts */
  toleranceSeconds?: number | null;
};
export type FinerWay = "lower" | "higher";
export type Dosing = "timed" | "weighed";
export type Collar = "numbered" | "marked";
export type LearnedSlopeView = {
  /** Change of ln(seconds per gram) for one unit finer */
  mean: number;
  sd: number;
  shots: number;
};
export type GrinderView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** Lowest number on the scale */
  min: number;
  /** Highest number on the scale */
  max: number;
  /** Smallest usable change; 0 = stepless */
  step: number;
  finer: FinerWay;
  dosing: Dosing;
  /** Old grounds to discard after a change, g */
  purgeGrams: number;
  /** Numbers, or plain marks */
  collar?: Collar | (null | null);
  /** What stays in the chute, g */
  retentionGrams?: number | null;
  /** Ground with these burrs before Olvet, kg */
  groundKg?: number | null;
  /** What the maker says the burrs last, kg */
  burrLifeKg?: number | null;
  retiredAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  learnedSlope: LearnedSlopeView | (null | null);
};
export type GrinderPage = {
  items: GrinderView[];
  total: number;
  page: number;
  pageSize: number;
};
export type RowState = "in-use" | "over";
export type GrinderDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** Lowest number on the scale */
  min: number;
  /** Highest number on the scale */
  max: number;
  /** Smallest usable change; 0 = stepless */
  step: number;
  finer: FinerWay;
  dosing: Dosing;
  /** Old grounds to discard after a change, g */
  purgeGrams: number;
  /** Numbers, or plain marks */
  collar?: Collar | (null | null);
  /** What stays in the chute, g */
  retentionGrams?: number | null;
  /** Ground with these burrs before Olvet, kg */
  groundKg?: number | null;
  /** What the maker says the burrs last, kg */
  burrLifeKg?: number | null;
  retiredAt?: string | null;
};
export type TemperatureScaleDto = {
  min: number;
  max: number;
  step: number;
};
export type PreBrew = "none" | "pre-infusion" | "valve" | "lever";
export type TemperatureReadingDto = {
  /** What the display said, °C */
  shownC: number;
  /** What the thermometer said, °C */
  measuredC: number;
};
export type ValveReadingDto = {
  /** Turns clockwise from the first reading */
  turns: number;
  /** Water in 30 s, g */
  grams: number;
};
export type CalibratedView = {
  mean: number;
  sd: number;
  readings: number;
};
export type MachineView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** null where it cannot be set */
  temperatureC?: TemperatureScaleDto | (null | null);
  groups?: number | null;
  /** Minutes until a group is really hot */
  warmUpMinutes?: number | null;
  preBrew?: PreBrew | (null | null);
  pumpBar?: number | null;
  temperatureReadings?: TemperatureReadingDto[] | null;
  /** Pump on → first drip, s */
  firstDripReadings?: number[] | null;
  valveReadings?: ValveReadingDto[] | null;
  retiredAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  /** Group minus display, °C */
  temperatureOffset: CalibratedView | (null | null);
  /** Pump on → first drip, s */
  firstDrip: CalibratedView | (null | null);
};
export type MachinePage = {
  items: MachineView[];
  total: number;
  page: number;
  pageSize: number;
};
export type MachineDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** null where it cannot be set */
  temperatureC?: TemperatureScaleDto | (null | null);
  groups?: number | null;
  /** Minutes until a group is really hot */
  warmUpMinutes?: number | null;
  preBrew?: PreBrew | (null | null);
  pumpBar?: number | null;
  temperatureReadings?: TemperatureReadingDto[] | null;
  /** Pump on → first drip, s */
  firstDripReadings?: number[] | null;
  valveReadings?: ValveReadingDto[] | null;
  retiredAt?: string | null;
};
export type BasketShape = "straight" | "tapered";
export type BasketView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  nominalGrams: number;
  minGrams: number;
  maxGrams: number;
  /** Inside, at the top, mm */
  diameterMm?: number | null;
  shape?: BasketShape | (null | null);
  retiredAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type BasketPage = {
  items: BasketView[];
  total: number;
  page: number;
  pageSize: number;
};
export type BasketDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  nominalGrams: number;
  minGrams: number;
  maxGrams: number;
  /** Inside, at the top, mm */
  diameterMm?: number | null;
  shape?: BasketShape | (null | null);
  retiredAt?: string | null;
};
export type Roast =
  "light" | "medium-light" | "medium" | "medium-dark" | "dark";
export type FlavourGoal = "even" | "bright" | "fruit" | "cocoa" | "roasted";
export type BodyGoal = "light" | "round" | "heavy";
export type DrunkAs = "black" | "milk" | "long";
export type NormalView = {
  mean: number;
  sd: number;
};
export type LearnedTasteView = {
  balance: NormalView;
  body: NormalView;
  ratio: number;
  middleSeconds: number;
  temperatureC?: number | null;
  shots: number;
};
export type CoffeeView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  roaster?: string | null;
  origin?: string | null;
  process?: string | null;
  altitudeM?: number | null;
  roast: Roast;
  /** What the roaster says it tastes like */
  notes?: string | null;
  /** Share of arabica, %; the rest is robusta */
  arabicaPercent?: number | null;
  /** What it should taste of */
  flavourGoal?: FlavourGoal | (null | null);
  bodyGoal?: BodyGoal | (null | null);
  drunkAs?: DrunkAs | (null | null);
  decaf?: boolean | null;
  retiredAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  learnedTaste: LearnedTasteView | (null | null);
};
export type CoffeePage = {
  items: CoffeeView[];
  total: number;
  page: number;
  pageSize: number;
};
export type CoffeeDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  roaster?: string | null;
  origin?: string | null;
  process?: string | null;
  altitudeM?: number | null;
  roast: Roast;
  /** What the roaster says it tastes like */
  notes?: string | null;
  /** Share of arabica, %; the rest is robusta */
  arabicaPercent?: number | null;
  /** What it should taste of */
  flavourGoal?: FlavourGoal | (null | null);
  bodyGoal?: BodyGoal | (null | null);
  drunkAs?: DrunkAs | (null | null);
  decaf?: boolean | null;
  retiredAt?: string | null;
};
export type FrozenSpellDto = {
  from: string;
  /** null while it lies frozen */
  to?: string | null;
};
export type BagView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  coffeeId: string;
  roastedOn?: string | null;
  openedOn?: string | null;
  /** When full */
  weightGrams: number;
  priceCents?: number | null;
  frozen?: FrozenSpellDto[] | null;
  /** What was left when it was last weighed */
  weighedGrams?: number | null;
  weighedAt?: string | null;
  finishedAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type BagPage = {
  items: BagView[];
  total: number;
  page: number;
  pageSize: number;
};
export type BagDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  coffeeId: string;
  roastedOn?: string | null;
  openedOn?: string | null;
  /** When full */
  weightGrams: number;
  priceCents?: number | null;
  frozen?: FrozenSpellDto[] | null;
  /** What was left when it was last weighed */
  weighedGrams?: number | null;
  weighedAt?: string | null;
  finishedAt?: string | null;
};
export type SecondsWindowDto = {
  min: number;
  max: number;
};
export type TimerStart = "pump-on" | "first-drip" | "total-contact";
export type TargetDto = {
  doseGrams: number;
  yieldGrams: number;
  /** null where the machine has no setting */
  temperatureC?: number | null;
  timeSeconds: SecondsWindowDto;
  timer: TimerStart;
  balance: number;
  body: number;
};
export type StationView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grinderId: string;
  machineId: string;
  basketId: string;
  coffeeId: string;
  /** One of one-lever, balance-walk, open-light, small-classic, slow-soak, hand-lever, or the id of one of your own */
  methodId: string;
  target: TargetDto;
  name: string;
  position?: number | null;
  /** Where the grinder stands now */
  grind?: number | null;
  /** What a timed grinder runs for the dose now */
  grindSeconds?: number | null;
  /** The most to turn for a drift at once */
  unitsPerMove?: number | null;
  /** The most to turn for drifts in a day */
  unitsPerDay?: number | null;
  scaleId?: string | null;
  /** false where doses are struck level and yields read in a glass */
  weighs?: boolean | null;
  retiredAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type StationPage = {
  items: StationView[];
  total: number;
  page: number;
  pageSize: number;
};
export type StationDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grinderId: string;
  machineId: string;
  basketId: string;
  coffeeId: string;
  /** One of one-lever, balance-walk, open-light, small-classic, slow-soak, hand-lever, or the id of one of your own */
  methodId: string;
  target: TargetDto;
  name: string;
  position?: number | null;
  /** Where the grinder stands now */
  grind?: number | null;
  /** What a timed grinder runs for the dose now */
  grindSeconds?: number | null;
  /** The most to turn for a drift at once */
  unitsPerMove?: number | null;
  /** The most to turn for drifts in a day */
  unitsPerDay?: number | null;
  scaleId?: string | null;
  /** false where doses are struck level and yields read in a glass */
  weighs?: boolean | null;
  retiredAt?: string | null;
};
export type HandCheck = "too-coarse" | "near" | "too-fine";
export type RunStatus = "open" | "kept" | "given-up";
export type KeptSettingView = {
  coffeeName: string;
  grind: number;
  daysAgo: number;
};
export type SuggestedStartView = {
  grind: number;
  /** In units of the grinder */
  sd: number;
  /** Most telling first */
  from: KeptSettingView[];
};
export type MessageView = {
  mean: number;
  /** 1/variance */
  precision: number;
};
export type LessonView = {
  /** ln of the change of time for one unit finer */
  slope: MessageView | (null | null);
  balance: MessageView | (null | null);
  body: MessageView | (null | null);
  ratio: number;
  middleSeconds: number;
  temperatureC: number | null;
  timedShots: number;
  tastedShots: number;
};
export type RunView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grinderId: string;
  machineId: string;
  basketId: string;
  coffeeId: string;
  /** One of one-lever, balance-walk, open-light, small-classic, slow-soak, hand-lever, or the id of one of your own */
  methodId: string;
  target: TargetDto;
  stationId: string;
  /** The flavour aimed at, in words */
  goal?: string | null;
  startGrind?: number | null;
  /** Spread of `startGrind` in units of the grinder, where the last shots gave it and nobody named it */
  startSd?: number | null;
  /** What a pinch between fingers said */
  handCheck?: HandCheck | (null | null);
  /** Shots this dial-in may take */
  budgetShots?: number | null;
  /** Coffee this dial-in may take, purges included, g */
  budgetGrams?: number | null;
  status: RunStatus;
  startedAt: string;
  endedAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  /** Where nobody named a setting */
  suggestedStart: SuggestedStartView | (null | null);
  lesson: LessonView | (null | null);
};
export type TimedDoseView = {
  /** g/s at atGrind */
  gramsPerSecond: number;
  lagSeconds: number;
  /** Fall of ln rate for one unit finer */
  logRatePerFiner: number;
  atGrind: number;
  finer: FinerWay;
  weighings: number;
  /** Of ln rate, lag and fall, row by row */
  covariance: number[];
};
export type DoseHow = "coin" | "strike";
export type FoundDoseView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  basketId: string;
  coffeeId: string;
  grams: number;
  /** Half-width that holds the right dose in 19 of 20 cases */
  toleranceGrams: number;
  how: DoseHow;
  foundAt: string;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type ReferenceView = {
  /** Grams at every second of its own shot */
  line: (number | null)[] | null;
  /** Water of the pre-brew valve in 30 s, g */
  valveGrams: number | null;
};
export type MarksView = {
  best: NormalView;
  loss: NormalView;
  cups: number;
};
export type TasterMarksView = {
  overall: MarksView | (null | null);
  sweetness: MarksView | (null | null);
};
export type PalateView = {
  person: string;
  /** Where this person likes the balance best, −3 … +3 */
  balance: number;
  /** Where this person likes the body best, −3 … +3 */
  body: number;
  balanceSd: number;
  bodySd: number;
  /** Marked cups this rests on */
  tastings: number;
  /** How this person uses the scales of ten */
  marks: TasterMarksView | (null | null);
};
export type ShotKind = "dial-in" | "service" | "check";
export type Assumable = "doseGrams" | "yieldGrams" | "grind" | "temperatureC";
export type PlannedDto = {
  grind?: number | null;
  doseGrams?: number | null;
  yieldGrams?: number | null;
  temperatureC?: number | null;
};
export type Sign =
  | "clean"
  | "spurts"
  | "dead-spots"
  | "early-blonding"
  | "gushing"
  | "dripping"
  | "uneven-spouts"
  | "late-rush"
  | "soupy-puck"
  | "screen-imprint"
  | "puck-crater";
export type SeenDto = {
  sign: Sign;
  /** Clock hour, basket seen from below */
  clock?: number | null;
};
export type Look =
  "tail-curling" | "tail-wide" | "crema-thick" | "crema-thin" | "crema-gone";
export type Cause = "not-purged" | "channelled" | "dose-off" | "cold-group";
export type VersusLast = "better" | "same" | "worse";
export type Verdict = "serve" | "discard";
export type TraceSummaryView = {
  yieldGrams: number;
  timeSeconds: number | null;
  /** What fell after the stop */
  dripGrams: number;
  /** g/s */
  meanFlow: number;
  /** g/s */
  peakFlow: number;
  flowLateOverMid: number | null;
  isLateRush: boolean;
  contactSeconds: number | null;
};
export type TracedView = {
  summary: TraceSummaryView | (null | null);
  /** Grams at every second from the start */
  line: (number | null)[];
  /** From the cue to the stop */
  stopDelaySeconds: number | null;
};
export type TastingView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  /** −3 very sour … +3 very bitter */
  balance?: number | null;
  /** −3 thin … +3 heavy */
  body?: number | null;
  dryness?: number | null;
  sweetness?: number | null;
  overall?: number | null;
  /** How much of the cup was swallowed: 1 drunk, 0 spat out */
  share?: number | null;
  shotId: string;
  /** Who tasted; empty for the one at the bar */
  person?: string | null;
  words?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type SheetShotView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grind?: number | null;
  doseGrams?: number | null;
  yieldGrams?: number | null;
  temperatureC?: number | null;
  /** How long a timed grinder ran */
  grindSeconds?: number | null;
  /** null for a shot pulled outside a dial-in */
  runId?: string | null;
  stationId: string;
  /** Left out: of a dial-in where it has one, else of service */
  kind?: ShotKind | (null | null);
  /** What was in the hopper; where left out, of the dial-in, the card or the station */
  coffeeId?: string | null;
  /** The version of the card it was pulled by */
  cardVersionId?: string | null;
  pulledAt: string;
  /** false where only the day is known */
  hourKnown?: boolean | null;
  /** First name of whoever pulled it */
  pulledBy?: string | null;
  /** What each cup of a double weighed; one alone where it stands for both */
  cupGrams?: number[] | null;
  /** Read in a glass where nothing was weighed, ml */
  yieldMl?: number | null;
  /** Figures nobody measured, taken as planned */
  assumed?: Assumable[] | null;
  planned?: PlannedDto | (null | null);
  timeSeconds?: number | null;
  timer: TimerStart;
  firstDripSeconds?: number | null;
  /** Water let in before full pressure */
  soakSeconds?: number | null;
  /** Until the filter below was wet all over */
  coverSeconds?: number | null;
  /** Until ten grams were out */
  tenGramsSeconds?: number | null;
  /** From the first water to the stop */
  contactSeconds?: number | null;
  /** Water of the pre-brew valve in 30 s, g */
  valveGrams?: number | null;
  /** The dose before it was levelled off */
  unlevelledGrams?: number | null;
  tdsPercent?: number | null;
  seen: SeenDto[];
  /** Tail and crema: no sign of a fault */
  looks?: Look[] | null;
  /** Was it purged after the last grind change? */
  purged: boolean;
  /** What went wrong with this shot, once known */
  cause?: Cause | (null | null);
  /** The cup against the one before */
  versusLast?: VersusLast | (null | null);
  /** What the cup was good for */
  verdict?: Verdict | (null | null);
  note?: string | null;
  /** Set when the shot was entered by mistake */
  removedAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  /** What its trace says; null: nothing was traced */
  traced: TracedView | (null | null);
  tastings: TastingView[];
};
export type SheetView = {
  run: RunView;
  station: StationView;
  grinder: GrinderView;
  machine: MachineView;
  basket: BasketView;
  coffee: CoffeeView;
  /** Days since the open bag was roasted, on the day the run began */
  ageDays: number | null;
  /** What a gram of the open bag costs, cents */
  centsPerGram: number | null;
  /** Where it is one of your own */
  method?: {
    id: string;
    name: string;
    idea: string;
    suits: string;
    locks: ("grind" | "yield" | "dose" | "temperature")[];
    balanceOrder: ("grind" | "yield" | "dose" | "temperature")[];
    bodyOrder: ("grind" | "yield" | "dose" | "temperature")[];
    order?: "by-the-book" | "fewest-shots";
    start: {
      doseGrams: number;
      ratio: number;
    };
    windowSeconds: {
      min: number;
      max: number;
    };
    timer: "pump-on" | "first-drip" | "total-contact";
    timeIs: "target" | "outcome";
    temperatureC: {
      light: number;
      "medium-light": number;
      medium: number;
      "medium-dark": number;
      dark: number;
    };
    leadSeconds: number;
    confirmShots: number;
    tolerance: {
      balance: number;
      body: number;
    };
  } | null;
  /** Where the grinder is timed and was weighed */
  timedDose: TimedDoseView | (null | null);
  foundDose: FoundDoseView | (null | null);
  /** false where doses are struck level and yields read in a glass */
  hasScale: boolean;
  /** Of this coffee’s card here; null: there is none */
  reference: ReferenceView | (null | null);
  /** Of those who tasted */
  palates: PalateView[];
  /** Oldest first; removed ones left out */
  shots: SheetShotView[];
};
export type ListedRunView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grinderId: string;
  machineId: string;
  basketId: string;
  coffeeId: string;
  /** One of one-lever, balance-walk, open-light, small-classic, slow-soak, hand-lever, or the id of one of your own */
  methodId: string;
  target: TargetDto;
  stationId: string;
  /** The flavour aimed at, in words */
  goal?: string | null;
  startGrind?: number | null;
  /** Spread of `startGrind` in units of the grinder, where the last shots gave it and nobody named it */
  startSd?: number | null;
  /** What a pinch between fingers said */
  handCheck?: HandCheck | (null | null);
  /** Shots this dial-in may take */
  budgetShots?: number | null;
  /** Coffee this dial-in may take, purges included, g */
  budgetGrams?: number | null;
  status: RunStatus;
  startedAt: string;
  endedAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  /** Where nobody named a setting */
  suggestedStart: SuggestedStartView | (null | null);
  lesson: LessonView | (null | null);
  coffeeName: string;
  stationName: string;
  methodName: string;
};
export type RunPage = {
  items: ListedRunView[];
  total: number;
  page: number;
  pageSize: number;
};
export type RunDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grinderId: string;
  machineId: string;
  basketId: string;
  coffeeId: string;
  /** One of one-lever, balance-walk, open-light, small-classic, slow-soak, hand-lever, or the id of one of your own */
  methodId: string;
  target: TargetDto;
  stationId: string;
  /** The flavour aimed at, in words */
  goal?: string | null;
  startGrind?: number | null;
  /** Spread of `startGrind` in units of the grinder, where the last shots gave it and nobody named it */
  startSd?: number | null;
  /** What a pinch between fingers said */
  handCheck?: HandCheck | (null | null);
  /** Shots this dial-in may take */
  budgetShots?: number | null;
  /** Coffee this dial-in may take, purges included, g */
  budgetGrams?: number | null;
  status: RunStatus;
  startedAt: string;
  endedAt?: string | null;
};
export type PalateDto = {
  /** Tastings before this no longer count */
  forgetBefore: string;
};
export type StartView = {
  /** null while the grinder has kept no recipe */
  grind: number | null;
  sd: number | null;
  from: KeptSettingView[];
};
export type TraceColumn = "seconds" | "grams" | "bar" | "celsius";
export type PullMarkKind =
  | "pump-on"
  | "covered"
  | "first-drip"
  | "paling"
  | "pump-off"
  | "soak-ended"
  | "ten-grams"
  | "spurt"
  | "dead-spot"
  | "spoilt"
  | "cue";
export type TraceMarkView = {
  kind: PullMarkKind;
  seconds: number;
  clock?: number | null;
};
export type TraceView = {
  columns: TraceColumn[];
  rows: (number | null)[][];
  marks: TraceMarkView[];
};
export type ShotView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grind?: number | null;
  doseGrams?: number | null;
  yieldGrams?: number | null;
  temperatureC?: number | null;
  /** How long a timed grinder ran */
  grindSeconds?: number | null;
  /** null for a shot pulled outside a dial-in */
  runId?: string | null;
  stationId: string;
  /** Left out: of a dial-in where it has one, else of service */
  kind?: ShotKind | (null | null);
  /** What was in the hopper; where left out, of the dial-in, the card or the station */
  coffeeId?: string | null;
  /** The version of the card it was pulled by */
  cardVersionId?: string | null;
  pulledAt: string;
  /** false where only the day is known */
  hourKnown?: boolean | null;
  /** First name of whoever pulled it */
  pulledBy?: string | null;
  /** What each cup of a double weighed; one alone where it stands for both */
  cupGrams?: number[] | null;
  /** Read in a glass where nothing was weighed, ml */
  yieldMl?: number | null;
  /** Figures nobody measured, taken as planned */
  assumed?: Assumable[] | null;
  planned?: PlannedDto | (null | null);
  timeSeconds?: number | null;
  timer: TimerStart;
  firstDripSeconds?: number | null;
  /** Water let in before full pressure */
  soakSeconds?: number | null;
  /** Until the filter below was wet all over */
  coverSeconds?: number | null;
  /** Until ten grams were out */
  tenGramsSeconds?: number | null;
  /** From the first water to the stop */
  contactSeconds?: number | null;
  /** Water of the pre-brew valve in 30 s, g */
  valveGrams?: number | null;
  /** The dose before it was levelled off */
  unlevelledGrams?: number | null;
  tdsPercent?: number | null;
  seen: SeenDto[];
  /** Tail and crema: no sign of a fault */
  looks?: Look[] | null;
  /** Was it purged after the last grind change? */
  purged: boolean;
  /** What went wrong with this shot, once known */
  cause?: Cause | (null | null);
  /** The cup against the one before */
  versusLast?: VersusLast | (null | null);
  /** What the cup was good for */
  verdict?: Verdict | (null | null);
  note?: string | null;
  /** Set when the shot was entered by mistake */
  removedAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  /** What its trace says; null: nothing was traced */
  traced: TracedView | (null | null);
};
export type ShotEditView = {
  revision: number;
  editedAt: string;
  before: ShotView;
};
export type ShotEditPage = {
  items: ShotEditView[];
  total: number;
  page: number;
  pageSize: number;
};
export type ShotPage = {
  items: ShotView[];
  total: number;
  page: number;
  pageSize: number;
};
export type FirstTastingDto = {
  /** −3 very sour … +3 very bitter */
  balance?: number | null;
  /** −3 thin … +3 heavy */
  body?: number | null;
  dryness?: number | null;
  sweetness?: number | null;
  overall?: number | null;
  /** How much of the cup was swallowed: 1 drunk, 0 spat out */
  share?: number | null;
  id: string;
  /** Who tasted; empty for the one at the bar */
  person?: string | null;
  /** Where the note stands already */
  revision?: number | null;
};
export type ShotDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grind?: number | null;
  doseGrams?: number | null;
  yieldGrams?: number | null;
  temperatureC?: number | null;
  /** How long a timed grinder ran */
  grindSeconds?: number | null;
  /** null for a shot pulled outside a dial-in */
  runId?: string | null;
  stationId: string;
  /** Left out: of a dial-in where it has one, else of service */
  kind?: ShotKind | (null | null);
  /** What was in the hopper; where left out, of the dial-in, the card or the station */
  coffeeId?: string | null;
  /** The version of the card it was pulled by */
  cardVersionId?: string | null;
  pulledAt: string;
  /** false where only the day is known */
  hourKnown?: boolean | null;
  /** First name of whoever pulled it */
  pulledBy?: string | null;
  /** What each cup of a double weighed; one alone where it stands for both */
  cupGrams?: number[] | null;
  /** Read in a glass where nothing was weighed, ml */
  yieldMl?: number | null;
  /** Figures nobody measured, taken as planned */
  assumed?: Assumable[] | null;
  planned?: PlannedDto | (null | null);
  timeSeconds?: number | null;
  timer: TimerStart;
  firstDripSeconds?: number | null;
  /** Water let in before full pressure */
  soakSeconds?: number | null;
  /** Until the filter below was wet all over */
  coverSeconds?: number | null;
  /** Until ten grams were out */
  tenGramsSeconds?: number | null;
  /** From the first water to the stop */
  contactSeconds?: number | null;
  /** Water of the pre-brew valve in 30 s, g */
  valveGrams?: number | null;
  /** The dose before it was levelled off */
  unlevelledGrams?: number | null;
  tdsPercent?: number | null;
  seen: SeenDto[];
  /** Tail and crema: no sign of a fault */
  looks?: Look[] | null;
  /** Was it purged after the last grind change? */
  purged: boolean;
  /** What went wrong with this shot, once known */
  cause?: Cause | (null | null);
  /** The cup against the one before */
  versusLast?: VersusLast | (null | null);
  /** What the cup was good for */
  verdict?: Verdict | (null | null);
  note?: string | null;
  /** Set when the shot was entered by mistake */
  removedAt?: string | null;
  /** What scale and machine said; left out, a kept one stays */
  trace?: {
    columns?: ("seconds" | "grams" | "bar" | "celsius")[];
    rows?: (number | null)[][];
    marks?: {
      kind: string;
      seconds: number;
      clock?: number | null;
    }[];
  } | null;
  /** Saved with the shot, all or nothing */
  tasting?: FirstTastingDto | (null | null);
};
export type TastingPage = {
  items: TastingView[];
  total: number;
  page: number;
  pageSize: number;
};
export type TastingDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  /** −3 very sour … +3 very bitter */
  balance?: number | null;
  /** −3 thin … +3 heavy */
  body?: number | null;
  dryness?: number | null;
  sweetness?: number | null;
  overall?: number | null;
  /** How much of the cup was swallowed: 1 drunk, 0 spat out */
  share?: number | null;
  shotId: string;
  /** Who tasted; empty for the one at the bar */
  person?: string | null;
  words?: string | null;
};
export type Purpose = "black" | "milk";
export type RecipeDto = {
  grind: number;
  doseGrams: number;
  yieldGrams: number;
  temperatureC?: number | null;
  /** Water of the pre-brew valve in 30 s, g */
  valveGrams?: number | null;
  /** How long a timed grinder runs for it, s */
  grindSeconds?: number | null;
  /** Water let in before full pressure, s */
  soakSeconds?: number | null;
  /** The group it is pulled on, where that matters */
  groupName?: string | null;
  /** Cups that share the yield */
  cups?: number | null;
  timeSeconds: SecondsWindowDto;
  timer: TimerStart;
  grinderName: string;
  machineName: string;
  basketName: string;
};
export type FoundTimeView = {
  seconds: number;
  /** How far single shots lie from it, s */
  sd: number;
  /** Shots that told its middle */
  shots: number;
};
export type CardVersionView = {
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  version: number;
  runId: string | null;
  /** The shot it was kept from */
  shotId: string | null;
  recipe: RecipeDto;
  /** Its spread goes on being learned in service */
  found: FoundTimeView | (null | null);
  tastesLike: string;
  setBy: string;
  note: string;
};
export type CardView = {
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  name: string;
  coffeeId: string;
  stationId: string;
  purpose: Purpose;
  coffeeName: string;
  stationName: string;
  latest: CardVersionView;
  /** The version that was printed last */
  printedVersion: number | null;
};
export type CardPage = {
  items: CardView[];
  total: number;
  page: number;
  pageSize: number;
};
export type ProposalAnswer = "taken" | "declined" | "withdrawn";
export type CardProposalView = {
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  cardId: string;
  recipe: RecipeDto;
  tastesLike: string;
  note: string;
  proposedBy: string;
  /** null: open */
  answer: ProposalAnswer | (null | null);
  answeredAt: string | null;
  answeredBy: string;
};
export type CardDetailView = {
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  name: string;
  coffeeId: string;
  stationId: string;
  purpose: Purpose;
  coffeeName: string;
  stationName: string;
  latest: CardVersionView;
  /** The version that was printed last */
  printedVersion: number | null;
  /** Grams at every second of its own shot */
  reference: (number | null)[] | null;
  /** Not answered yet, oldest first */
  proposals: CardProposalView[];
  /** Newest first */
  versions: CardVersionView[];
};
export type MoveFoundTimeDto = {
  /** Of the version this makes */
  versionId: string;
  seconds: number;
  /** Why it is another */
  note: string;
};
export type PrintedDto = {
  /** The version that was printed */
  version: number;
};
export type ProposeCardDto = {
  recipe: RecipeDto;
  tastesLike?: string | null;
  /** Why */
  note: string;
};
export type AnswerProposalDto = {
  answer: ProposalAnswer;
  /** Of the version that taking it makes */
  versionId?: string | null;
  note?: string | null;
};
export type LastPulledView = {
  /** null: never by this card */
  version: number | null;
  pulledAt: string | null;
};
export type KeepCardDto = {
  /** An existing card gets a new version, an unknown id makes a new card */
  cardId: string;
  versionId: string;
  name: string;
  purpose: Purpose;
  recipe: RecipeDto;
  /** The shot of this dial-in that it keeps; null for what was only planned */
  shotId?: string | null;
  tastesLike?: string | null;
  setBy?: string | null;
  /** Why it changed */
  note?: string | null;
};
export type StationState =
  "dialled" | "drifting-fast" | "drifting-slow" | "unknown" | "dialling-in";
export type DriftedStartView = {
  grind: number;
  /** In units of the grinder */
  sd: number;
};
export type BoardCardView = {
  cardId: string;
  versionId: string;
  version: number;
  name: string;
  purpose: Purpose;
  recipe: RecipeDto;
  found: FoundTimeView | (null | null);
  /** Grams at every second of its own shot */
  reference: (number | null)[] | null;
};
export type DayShotView = {
  id: string;
  pulledAt: string;
  timeSeconds: number;
  kind: ShotKind;
  /** A known fault: it counts for little */
  isSpoilt: boolean;
};
export type DayAirView = {
  at: string;
  celsius: number | null;
  humidityPercent: number | null;
};
export type DayEventKind =
  "bag-opened" | "hopper-filled" | "grind-changed" | "cleaned" | "machine-on";
export type DayMarkView = {
  at: string;
  kind: DayEventKind;
  /** Where the grinder stands from then on */
  grind: number | null;
};
export type DayState =
  "unknown" | "steady" | "odd-shot" | "drifting-fast" | "drifting-slow";
export type DayAction = "none" | "check" | "move" | "dial-in";
export type DayIntervalView = {
  mean: number;
  p10: number;
  p90: number;
};
export type DayTurnView = {
  from: number;
  to: number;
};
export type ProposedMoveView = {
  grind: DayTurnView;
  grindSeconds: number | null;
  purgeGrams: number | null;
  expectSeconds: DayIntervalView;
};
export type Suspect =
  "bag" | "hopper" | "cleaned" | "humidity" | "warmth" | "grinder";
export type DayReasonCode =
  | "no-shots"
  | "on-time"
  | "one-odd"
  | "maybe"
  | "run"
  | "dose-creeps"
  | "suspects"
  | "turned"
  | "just-turned"
  | "no-step"
  | "limit"
  | "did-not-help";
export type DayAnswered = "turned" | "left";
export type DayMoveView = {
  stationId: string;
  at: string;
  answer: DayAnswered;
  /** Where the grinder stands from now on; for a turn */
  toGrind?: number | null;
  /** What a timed grinder is to run from now on */
  grindSeconds?: number | null;
  why?: string | null;
  /** Set when the grinder was turned back */
  undoneAt?: string | null;
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  /** Where the grinder stood */
  fromGrind: number | null;
  /** What a timed grinder ran */
  fromGrindSeconds: number | null;
  /** Turned by the closed loop */
  isKeeper: boolean;
};
export type JudgedDayView = {
  cardName: string;
  foundSeconds: number;
  toleranceSeconds: number;
  /** Shots it was judged by, those of the evening before included */
  judgedShots: number;
  /** Of today, by this card, oldest first */
  shots: DayShotView[];
  /** Of the room today, oldest first */
  air: DayAirView[];
  marks: DayMarkView[];
  state: DayState;
  action: DayAction;
  shiftSeconds: DayIntervalView;
  move: ProposedMoveView | (null | null);
  suspects: Suspect[];
  why: string[];
  /** Why, each as its code */
  codes: DayReasonCode[];
  /** The smallest turn that tells, in units of the grinder */
  turnUnits: number;
  /** What of the turns a day may take was taken today, in units */
  unitsToday: number;
  /** The most that may be turned in a day, in units */
  unitsPerDay: number;
  /** When to look again */
  checkAt: string | null;
  /** What was answered last today */
  lastMove: DayMoveView | (null | null);
  /** Shots since that answer */
  shotsSince: number;
};
export type HoldReason =
  | "by-hand"
  | "nothing-to-keep"
  | "another-clock"
  | "no-machine"
  | "no-grinder"
  | "grinder-elsewhere"
  | "grinder-refused"
  | "taken-back"
  | "bag-opened"
  | "hopper-filled"
  | "coffee-changed"
  | "spoilt-run"
  | "did-not-help";
export type KeeperView = {
  /** May Olvet turn the grinder of this station by itself? */
  isOn: boolean;
  /** The most it turns at once, in units of the grinder */
  unitsPerMove: number;
  /** The most it turns in a day, there and back added up */
  unitsPerDay: number;
  /** Never within so many shots of the last turn */
  shotsBetween: number;
  /** Never on fewer shots of the day */
  fewestShots: number;
  /** Nothing is turned from then on, HH:MM */
  quietFrom?: string | null;
  /** until then, HH:MM */
  quietUntil?: string | null;
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  /** It holds since then */
  heldAt: string | null;
  heldWhy: HoldReason | (null | null);
};
export type CheckReason = "opening" | "hour" | "new-bag" | "drift";
export type DueCheckView = {
  dueAt: string;
  reason: CheckReason;
  isDue: boolean;
};
export type BoardShotView = {
  id: string;
  pulledAt: string;
  grind: number | null;
  timeSeconds: number | null;
};
export type BoardStationView = {
  station: StationView;
  coffeeName: string;
  grinderName: string;
  finer: FinerWay;
  machineName: string;
  basketName: string;
  ageDays: number | null;
  state: StationState;
  /** Where a dial-in begins after a drift; null: as it stands */
  start: DriftedStartView | (null | null);
  /** The open dial-in, if any */
  openRunId: string | null;
  cardId: string | null;
  /** Cards of this coffee here; the one last poured by comes first */
  cards: BoardCardView[];
  /** The coffee that stood here before */
  beforeCoffeeId: string | null;
  beforeCoffeeName: string | null;
  /** null where no card has a found time yet */
  day: JudgedDayView | (null | null);
  /** The closed loop, where a lead has set it up */
  keeper: KeeperView | (null | null);
  /** By the shop’s rule; null: no more today */
  check: DueCheckView | (null | null);
  /** The last check shot today */
  checkedAt: string | null;
  /** The last shots with a time, oldest first */
  shots: BoardShotView[];
};
export type BoardView = {
  stations: BoardStationView[];
  /** Coffee through the grinders since the day began, purges included, g */
  gramsToday: number;
  shotsToday: number;
};
export type SetupBagDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  coffeeId: string;
  roastedOn?: string | null;
  openedOn?: string | null;
  /** When full */
  weightGrams: number;
  priceCents?: number | null;
  frozen?: FrozenSpellDto[] | null;
  /** What was left when it was last weighed */
  weighedGrams?: number | null;
  weighedAt?: string | null;
  finishedAt?: string | null;
  id: string;
};
export type SetupDto = {
  grinder?: GrinderDto | (null | null);
  machine?: MachineDto | (null | null);
  basket?: BasketDto | (null | null);
  coffee?: CoffeeDto | (null | null);
  bag?: SetupBagDto | (null | null);
  station: StationDto;
  run: RunDto;
  runId: string;
};
export type BarScaleView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** Smallest step it shows, g */
  resolutionGrams: number;
  retiredAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type BarScalePage = {
  items: BarScaleView[];
  total: number;
  page: number;
  pageSize: number;
};
export type BarScaleDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** Smallest step it shows, g */
  resolutionGrams: number;
  retiredAt?: string | null;
};
export type WeighedAs = "weighing" | "shot";
export type TimedWeighingView = {
  seconds: number;
  grams: number;
  grind: number;
  ageDays: number;
  from: WeighedAs;
};
export type TimedDoseDeskView = {
  /** Oldest first */
  weighings: TimedWeighingView[];
  model: TimedDoseView | (null | null);
  /** The dose wanders */
  creep: ("up" | "down" | null) | null;
};
export type DoseWeighingView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grinderId: string;
  grind: number;
  /** How long the grinder ran */
  seconds: number;
  grams: number;
  weighedAt: string;
  /** Set when it was a mistake */
  removedAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type DoseWeighingPage = {
  items: DoseWeighingView[];
  total: number;
  page: number;
  pageSize: number;
};
export type DoseWeighingDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grinderId: string;
  grind: number;
  /** How long the grinder ran */
  seconds: number;
  grams: number;
  weighedAt: string;
  /** Set when it was a mistake */
  removedAt?: string | null;
};
export type FoundDosePage = {
  items: FoundDoseView[];
  total: number;
  page: number;
  pageSize: number;
};
export type FoundDoseDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  basketId: string;
  coffeeId: string;
  grams: number;
  /** Half-width that holds the right dose in 19 of 20 cases */
  toleranceGrams: number;
  how: DoseHow;
  foundAt: string;
};
export type ShippedMethod =
  | "one-lever"
  | "balance-walk"
  | "open-light"
  | "small-classic"
  | "slow-soak"
  | "hand-lever";
export type OwnMethodView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  basedOn: ShippedMethod;
  method?: {
    id: string;
    name: string;
    idea: string;
    suits: string;
    locks: ("grind" | "yield" | "dose" | "temperature")[];
    balanceOrder: ("grind" | "yield" | "dose" | "temperature")[];
    bodyOrder: ("grind" | "yield" | "dose" | "temperature")[];
    order?: "by-the-book" | "fewest-shots";
    start: {
      doseGrams: number;
      ratio: number;
    };
    windowSeconds: {
      min: number;
      max: number;
    };
    timer: "pump-on" | "first-drip" | "total-contact";
    timeIs: "target" | "outcome";
    temperatureC: {
      light: number;
      "medium-light": number;
      medium: number;
      "medium-dark": number;
      dark: number;
    };
    leadSeconds: number;
    confirmShots: number;
    tolerance: {
      balance: number;
      body: number;
    };
  };
  retiredAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type OwnMethodPage = {
  items: OwnMethodView[];
  total: number;
  page: number;
  pageSize: number;
};
export type OwnMethodDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  basedOn: ShippedMethod;
  method?: {
    id: string;
    name: string;
    idea: string;
    suits: string;
    locks: ("grind" | "yield" | "dose" | "temperature")[];
    balanceOrder: ("grind" | "yield" | "dose" | "temperature")[];
    bodyOrder: ("grind" | "yield" | "dose" | "temperature")[];
    order?: "by-the-book" | "fewest-shots";
    start: {
      doseGrams: number;
      ratio: number;
    };
    windowSeconds: {
      min: number;
      max: number;
    };
    timer: "pump-on" | "first-drip" | "total-contact";
    timeIs: "target" | "outcome";
    temperatureC: {
      light: number;
      "medium-light": number;
      medium: number;
      "medium-dark": number;
      dark: number;
    };
    leadSeconds: number;
    confirmShots: number;
    tolerance: {
      balance: number;
      body: number;
    };
  };
  retiredAt?: string | null;
};
export type OpeningStep =
  "switched-on" | "flushed" | "cups-warm" | "hopper" | "weather" | "check-shot";
export type OpeningForecastDto = {
  grind: number;
  mean: number;
  p10: number;
  p90: number;
};
export type OpeningView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  stationId: string;
  day: string;
  /** When the machine was switched on */
  switchedOnAt?: string | null;
  done?: OpeningStep[] | null;
  /** In the room, °C */
  roomC?: number | null;
  humidityPercent?: number | null;
  /** As it was shown before the first shot: held against that, it says how good forecasts are here */
  forecast?: OpeningForecastDto | (null | null);
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type OpeningPage = {
  items: OpeningView[];
  total: number;
  page: number;
  pageSize: number;
};
export type OpeningDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  stationId: string;
  day: string;
  /** When the machine was switched on */
  switchedOnAt?: string | null;
  done?: OpeningStep[] | null;
  /** In the room, °C */
  roomC?: number | null;
  humidityPercent?: number | null;
  /** As it was shown before the first shot: held against that, it says how good forecasts are here */
  forecast?: OpeningForecastDto | (null | null);
};
export type BagStockView = {
  bagId: string;
  coffeeId: string;
  /** Left in the bag, g: its weight less doses and purges since it was opened or weighed */
  leftGrams: number;
};
export type CoffeePaceView = {
  coffeeId: string;
  /** Coffee a day over the last two weeks, g */
  gramsPerDay: number;
  /** Shots a day over the last two weeks */
  shotsPerDay: number;
};
export type StockView = {
  /** Of bags not finished */
  bags: BagStockView[];
  pace: CoffeePaceView[];
};
export type WearView = {
  grinderId: string;
  /** Ground with these burrs, kg */
  groundKg: number;
};
export type TastedCoffeeView = {
  doseGrams: number;
  /** 1 = drunk, 0 = spat out */
  share: number;
  arabicaPercent: number | null;
  decaf: boolean;
};
export type TastedTodayView = {
  person: string;
  cups: TastedCoffeeView[];
};
export type LiveView = {
  status: string;
};
export type ReadyView = {
  status: string;
  /** A row was written and read back */
  database: string;
  /** On the disk of the data, where the server can see it */
  freeMb: number | null;
};
export type CorrectionKind =
  | "shots"
  | "runs"
  | "stations"
  | "grinders"
  | "baskets"
  | "bags"
  | "coffees"
  | "shops";
export type CorrectionView = {
  kind: CorrectionKind;
  id: string;
  /** Its field that cannot be right */
  path: string;
  /** What must hold */
  message: string;
  /** Name of the row, or the day it was pulled */
  name: string | null;
  /** The dial-in of a shot, the coffee of a bag */
  within: string | null;
};
export type PersonView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  /** First name, as it stands on shots and cards */
  name: string;
  /** Says what the recipes of the shop are */
  isLead?: boolean | null;
  /** When they left */
  retiredAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type PersonPage = {
  items: PersonView[];
  total: number;
  page: number;
  pageSize: number;
};
export type PersonDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  /** First name, as it stands on shots and cards */
  name: string;
  /** Says what the recipes of the shop are */
  isLead?: boolean | null;
  /** When they left */
  retiredAt?: string | null;
};
export type DayView = {
  day: string;
  /** Newest first; removed ones left out */
  shots: SheetShotView[];
};
export type SeveralShotsView = {
  shots: ShotView[];
};
export type NewShotDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grind?: number | null;
  doseGrams?: number | null;
  yieldGrams?: number | null;
  temperatureC?: number | null;
  /** How long a timed grinder ran */
  grindSeconds?: number | null;
  /** null for a shot pulled outside a dial-in */
  runId?: string | null;
  stationId: string;
  /** Left out: of a dial-in where it has one, else of service */
  kind?: ShotKind | (null | null);
  /** What was in the hopper; where left out, of the dial-in, the card or the station */
  coffeeId?: string | null;
  /** The version of the card it was pulled by */
  cardVersionId?: string | null;
  pulledAt: string;
  /** false where only the day is known */
  hourKnown?: boolean | null;
  /** First name of whoever pulled it */
  pulledBy?: string | null;
  /** What each cup of a double weighed; one alone where it stands for both */
  cupGrams?: number[] | null;
  /** Read in a glass where nothing was weighed, ml */
  yieldMl?: number | null;
  /** Figures nobody measured, taken as planned */
  assumed?: Assumable[] | null;
  planned?: PlannedDto | (null | null);
  timeSeconds?: number | null;
  timer: TimerStart;
  firstDripSeconds?: number | null;
  /** Water let in before full pressure */
  soakSeconds?: number | null;
  /** Until the filter below was wet all over */
  coverSeconds?: number | null;
  /** Until ten grams were out */
  tenGramsSeconds?: number | null;
  /** From the first water to the stop */
  contactSeconds?: number | null;
  /** Water of the pre-brew valve in 30 s, g */
  valveGrams?: number | null;
  /** The dose before it was levelled off */
  unlevelledGrams?: number | null;
  tdsPercent?: number | null;
  seen: SeenDto[];
  /** Tail and crema: no sign of a fault */
  looks?: Look[] | null;
  /** Was it purged after the last grind change? */
  purged: boolean;
  /** What went wrong with this shot, once known */
  cause?: Cause | (null | null);
  /** The cup against the one before */
  versusLast?: VersusLast | (null | null);
  /** What the cup was good for */
  verdict?: Verdict | (null | null);
  note?: string | null;
  /** Set when the shot was entered by mistake */
  removedAt?: string | null;
  /** What scale and machine said; left out, a kept one stays */
  trace?: {
    columns?: ("seconds" | "grams" | "bar" | "celsius")[];
    rows?: (number | null)[][];
    marks?: {
      kind: string;
      seconds: number;
      clock?: number | null;
    }[];
  } | null;
  /** Saved with the shot, all or nothing */
  tasting?: FirstTastingDto | (null | null);
  id: string;
};
export type SeveralShotsDto = {
  shots: NewShotDto[];
};
export type CoffeeChangeView = {
  stationId: string;
  toCoffeeId: string;
  /** The bag that was opened for it */
  bagId?: string | null;
  /** What of the coffee before was left in hopper and grinder, and discarded, g */
  thrownGrams?: number | null;
  changedAt: string;
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  fromCoffeeId: string;
};
export type CoffeeChangePage = {
  items: CoffeeChangeView[];
  total: number;
  page: number;
  pageSize: number;
};
export type CoffeeChangeDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  stationId: string;
  toCoffeeId: string;
  /** The bag that was opened for it */
  bagId?: string | null;
  /** What of the coffee before was left in hopper and grinder, and discarded, g */
  thrownGrams?: number | null;
  changedAt: string;
  /** One of one-lever, balance-walk, open-light, small-classic, slow-soak, hand-lever, or the id of one of your own */
  methodId: string;
  target: TargetDto;
  /** Where the grinder stands from now on */
  grind?: number | null;
};
export type ProposalView = {
  coffeeId: string;
  coffeeName: string;
  methodId: string;
  target: TargetDto;
  /** Where to set the grinder; null where nothing tells */
  grind: number | null;
  /** Its spread, in units of the grinder */
  grindSd: number | null;
  /** Why this method, this aim and this setting */
  reasons: string[];
  /** The card it comes back to, where it has one here */
  cardId: string | null;
  /** The bag in use, or the next one on the shelf */
  bagId: string | null;
};
export type DayMovePage = {
  items: DayMoveView[];
  total: number;
  page: number;
  pageSize: number;
};
export type DayMoveDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  stationId: string;
  at: string;
  answer: DayAnswered;
  /** Where the grinder stands from now on; for a turn */
  toGrind?: number | null;
  /** What a timed grinder is to run from now on */
  grindSeconds?: number | null;
  why?: string | null;
  /** Set when the grinder was turned back */
  undoneAt?: string | null;
};
export type StationEventKind = "hopper-filled" | "cleaned";
export type StationEventView = {
  stationId: string;
  kind: StationEventKind;
  at: string;
  /** Set when it was said by mistake */
  removedAt?: string | null;
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type StationEventPage = {
  items: StationEventView[];
  total: number;
  page: number;
  pageSize: number;
};
export type StationEventDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  stationId: string;
  kind: StationEventKind;
  at: string;
  /** Set when it was said by mistake */
  removedAt?: string | null;
};
export type KeeperPage = {
  items: KeeperView[];
  total: number;
  page: number;
  pageSize: number;
};
export type KeeperDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  /** May Olvet turn the grinder of this station by itself? */
  isOn: boolean;
  /** The most it turns at once, in units of the grinder */
  unitsPerMove: number;
  /** The most it turns in a day, there and back added up */
  unitsPerDay: number;
  /** Never within so many shots of the last turn */
  shotsBetween: number;
  /** Never on fewer shots of the day */
  fewestShots: number;
  /** Nothing is turned from then on, HH:MM */
  quietFrom?: string | null;
  /** until then, HH:MM */
  quietUntil?: string | null;
};
export type TableCardView = {
  cardId: string;
  name: string;
  version: number;
  grinderName: string;
  grind: number;
  timer: TimerStart;
};
export type BasketSize = "single" | "double" | "triple";
export type ShotLength = "short" | "normal" | "long";
export type BasketRowView = {
  coffeeId: string;
  basketId: string;
  length: ShotLength;
  doseGrams: number;
  yieldGrams: number;
  timeSeconds: SecondsWindowDto;
  /** Set to go back to what Olvet works out */
  retiredAt?: string | null;
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type BasketCellView = {
  length: ShotLength;
  doseGrams: number;
  yieldGrams: number;
  /** Yield over dose */
  ratio: number;
  timeSeconds: SecondsWindowDto;
  /** Where it would run in the card’s own time */
  grind: number;
  /** Units finer than the card; below zero: coarser */
  unitsFiner: number;
  /** What the shop says itself; it stands above */
  saved: BasketRowView | (null | null);
};
export type TableBasketView = {
  basketId: string;
  name: string;
  size: BasketSize;
  /** It is the card’s own */
  isCard: boolean;
  /** Shots pulled in it that corrected its times; 0: its bed alone */
  shots: number;
  /** Short, normal, long */
  cells: BasketCellView[];
};
export type BasketTableView = {
  /** null: no card of this coffee yet */
  card: TableCardView | (null | null);
  /** The smallest first */
  baskets: TableBasketView[];
};
export type BasketRowPage = {
  items: BasketRowView[];
  total: number;
  page: number;
  pageSize: number;
};
export type BasketRowDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  coffeeId: string;
  basketId: string;
  length: ShotLength;
  doseGrams: number;
  yieldGrams: number;
  timeSeconds: SecondsWindowDto;
  /** Set to go back to what Olvet works out */
  retiredAt?: string | null;
};
export type CareTaskCode =
  | "water"
  | "waste"
  | "rinse"
  | "soak"
  | "backflush"
  | "brush-out"
  | "burrs"
  | "descale";
export type CareIntervalView = {
  days?: number;
  shots?: number;
  kg?: number;
};
export type CareSinceView = {
  days: number;
  shots: number;
  kg: number;
};
export type CareRuleView = {
  task: CareTaskCode;
  /** For what is done to a machine */
  machineId?: string | null;
  /** For what is done to a grinder */
  grinderId?: string | null;
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  everyDays: number | null;
  everyShots: number | null;
  everyKg: number | null;
};
export type CareDoneView = {
  task: CareTaskCode;
  /** For what is done to a machine */
  machineId?: string | null;
  /** For what is done to a grinder */
  grinderId?: string | null;
  at: string;
  /** Set when it was said by mistake */
  removedAt?: string | null;
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  note: string;
};
export type CareItemView = {
  task: CareTaskCode;
  machineId: string | null;
  grinderId: string | null;
  /** Of the machine or grinder; empty for the bar */
  name: string;
  every: CareIntervalView;
  since: CareSinceView;
  /** The shop’s own interval */
  rule: CareRuleView | (null | null);
  last: CareDoneView | (null | null);
  /** Of its interval */
  share: number | null;
  isDue: boolean;
  /** When it falls due at this pace */
  dueOn: string | null;
};
export type CareView = {
  /** The most overdue first */
  items: CareItemView[];
};
export type CareDonePage = {
  items: CareDoneView[];
  total: number;
  page: number;
  pageSize: number;
};
export type CareDoneDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  task: CareTaskCode;
  /** For what is done to a machine */
  machineId?: string | null;
  /** For what is done to a grinder */
  grinderId?: string | null;
  at: string;
  note?: string | null;
  /** Set when it was said by mistake */
  removedAt?: string | null;
};
export type CareRulePage = {
  items: CareRuleView[];
  total: number;
  page: number;
  pageSize: number;
};
export type CareRuleDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  task: CareTaskCode;
  /** For what is done to a machine */
  machineId?: string | null;
  /** For what is done to a grinder */
  grinderId?: string | null;
  everyDays?: number | null;
  /** Shots through it since the last */
  everyShots?: number | null;
  /** Coffee ground since the last, kg */
  everyKg?: number | null;
};
export type Distribution = "by-hand" | "needles" | "shaken" | "spun";
export type Levelling = "none" | "tool";
export type Tamp = "by-hand" | "fixed" | "self-levelling";
export type YesOrNo = "no" | "yes";
export type PreparationView = {
  stationId: string;
  /** From when on */
  at: string;
  distribution: Distribution;
  levelling: Levelling;
  tamp: Tamp;
  mist: YesOrNo;
  tap: YesOrNo;
  /** Set when it was said by mistake */
  removedAt?: string | null;
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  note: string;
};
export type PreparationPage = {
  items: PreparationView[];
  total: number;
  page: number;
  pageSize: number;
};
export type PreparationDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  stationId: string;
  /** From when on */
  at: string;
  distribution: Distribution;
  levelling: Levelling;
  tamp: Tamp;
  mist: YesOrNo;
  tap: YesOrNo;
  note?: string | null;
  /** Set when it was said by mistake */
  removedAt?: string | null;
};
export type PreparationPart =
  "distribution" | "levelling" | "tamp" | "mist" | "tap";
export type PuckComparison = "steadier" | "less-steady" | "alike" | "unknown";
export type PreparedView = {
  preparation: PreparationView;
  /** Against the way before */
  changed: PreparationPart[];
  shots: number;
  /** Of single shots among their like, as a share of the time */
  spread: number | null;
  /** Shots somebody looked at */
  looked: number;
  /** Of these: spurts, dead spots, a channel */
  uneven: number;
  comparison: PuckComparison;
};
export type Milk = "none" | "cow" | "oat" | "soy" | "almond" | "other";
export type Foam = "none" | "thin" | "thick";
export type Pouring = "coffee-first" | "milk-first" | "water-first";
export type DrinkView = {
  name: string;
  /** The card it hangs on */
  cardId: string;
  /** The version of the card it is in line with */
  cardVersion: number;
  /** Of the card’s yield: half of a double, all of it, two */
  share: number;
  retiredAt?: string | null;
  cupMl: number;
  milkMl: number;
  milk: Milk;
  foam: Foam;
  waterMl: number;
  pouring: Pouring;
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type DrinkPage = {
  items: DrinkView[];
  total: number;
  page: number;
  pageSize: number;
};
export type DrinkDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** The card it hangs on */
  cardId: string;
  /** The version of the card it is in line with */
  cardVersion: number;
  /** Of the card’s yield: half of a double, all of it, two */
  share: number;
  retiredAt?: string | null;
  cupMl: number;
  milkMl: number;
  milk: Milk;
  foam: Foam;
  waterMl: number;
  pouring: Pouring;
};
export type ButtonKind = "volumetric" | "timed";
export type MachineButtonView = {
  name: string;
  /** The card it hangs on */
  cardId: string;
  /** The version of the card it is in line with */
  cardVersion: number;
  /** Of the card’s yield: half of a double, all of it, two */
  share: number;
  retiredAt?: string | null;
  machineId: string;
  kind: ButtonKind;
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type MachineButtonPage = {
  items: MachineButtonView[];
  total: number;
  page: number;
  pageSize: number;
};
export type MachineButtonDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** The card it hangs on */
  cardId: string;
  /** The version of the card it is in line with */
  cardVersion: number;
  /** Of the card’s yield: half of a double, all of it, two */
  share: number;
  retiredAt?: string | null;
  machineId: string;
  kind: ButtonKind;
};
export type EffectName = "humidity" | "warmth" | "age" | "hour";
export type LearnedEffectView = {
  name: EffectName;
  /** ln time for one unit: a point of humidity, a °C, the usual ageing, an hour */
  mean: number;
  sd: number;
  /** On so many days it was known */
  days: number;
};
export type ForecastScoreView = {
  /** Mornings whose first shot fell where it was expected */
  hits: number;
  /** Mornings that were forecast and poured */
  mornings: number;
};
export type LearnedHereView = {
  stationId: string;
  /** Of its grinder */
  effects: LearnedEffectView[];
  forecasts: ForecastScoreView;
};
export type HandOverView = {
  /** When the turn began */
  since: string;
  at: string;
  /** What whoever comes next should know */
  note?: string | null;
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
};
export type HandOverPage = {
  items: HandOverView[];
  total: number;
  page: number;
  pageSize: number;
};
export type HandOverDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  /** When the turn began */
  since: string;
  at: string;
  /** What whoever comes next should know */
  note?: string | null;
};
export type Happening =
  | "turned"
  | "left"
  | "card"
  | "coffee"
  | "bag"
  | "hopper-filled"
  | "cleaned"
  | "held";
export type HappenedView = {
  at: string;
  kind: Happening;
  stationName: string | null;
  /** Of the card or the coffee */
  name: string | null;
  fromGrind: number | null;
  toGrind: number | null;
  /** Of the card */
  version: number | null;
  isKeeper: boolean;
  heldWhy: HoldReason | (null | null);
  /** As it was said then; empty where nothing was */
  why: string;
  /** First name of whoever did it; empty where nobody said so */
  by: string;
};
export type HappenedListView = {
  /** Oldest first */
  items: HappenedView[];
  /** The last one before now */
  lastHandOver: HandOverView | (null | null);
};
export type RoomReadingView = {
  at: string;
  celsius?: number | null;
  /** Relative */
  humidityPercent?: number | null;
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  /** The sensor; null where it was typed */
  deviceId: string | null;
};
export type RoomReadingPage = {
  items: RoomReadingView[];
  total: number;
  page: number;
  pageSize: number;
};
export type RoomReadingDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  at: string;
  celsius?: number | null;
  /** Relative */
  humidityPercent?: number | null;
};
export type DeviceDoneView = {
  ok: boolean;
  /** Why not, in words */
  message: string | null;
};
export type DeviceCommand =
  | "tare"
  | "start"
  | "stop"
  | "end-soak"
  | "set-grind"
  | "grind"
  | "measure"
  | "cup"
  | "lever"
  | "preparation"
  | "battery";
export type DeviceCommandDto = {
  command: DeviceCommand;
  /** Its size: seconds, units, bar or percent */
  value?: number | null;
};
export type RecentView = {
  session: string | null;
  reports: {
    [key: string]: any;
  }[];
};
export type DeviceKind =
  "scale" | "machine" | "grinder" | "room" | "refractometer";
export type DeviceView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** null: shared, and chosen when a shot is pulled */
  stationId?: string | null;
  /** Set once a person has compared the code; null: it waits */
  letInAt?: string | null;
  /** When it was put away: it is not let in again */
  retiredAt?: string | null;
  id: string;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  kind: DeviceKind;
  unit: string;
  capabilities: DeviceCommand[];
  /** No real device stands behind it */
  isSimulated: boolean;
  /** What the device must show, while it waits */
  code: string | null;
  isConnected: boolean;
};
export type DevicePage = {
  items: DeviceView[];
  total: number;
  page: number;
  pageSize: number;
};
export type DeviceDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** null: shared, and chosen when a shot is pulled */
  stationId?: string | null;
  /** Set once a person has compared the code; null: it waits */
  letInAt?: string | null;
  /** When it was put away: it is not let in again */
  retiredAt?: string | null;
};
export type PullPlanDto = {
  doseGrams: number;
  yieldGrams: number;
  temperatureC?: number | null;
  timeSeconds: SecondsWindowDto;
  timer: TimerStart;
  /** null where nobody knows where the grinder stands */
  grind?: number | null;
};
export type PullMarkDto = {
  kind: PullMarkKind;
  /** From the start of the shot */
  seconds: number;
  /** Clock hour, basket seen from below */
  clock?: number | null;
};
export type PullView = {
  stationId: string;
  runId?: string | null;
  kind: ShotKind;
  /** The tablet that pulls it: only that one may write */
  ownerId: string;
  /** First name of whoever stands there */
  ownerName?: string | null;
  plan: PullPlanDto;
  /** null before the pump runs */
  startedAt?: string | null;
  /** When it was saved or left */
  endedAt?: string | null;
  marks: PullMarkDto[];
  /** The devices that tell of it */
  deviceIds: string[];
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  askedById: string | null;
  askedByName: string;
  askedAt: string | null;
};
export type PullDto = {
  stationId: string;
  runId?: string | null;
  kind: ShotKind;
  /** The tablet that pulls it: only that one may write */
  ownerId: string;
  /** First name of whoever stands there */
  ownerName?: string | null;
  plan: PullPlanDto;
  /** null before the pump runs */
  startedAt?: string | null;
  /** When it was saved or left */
  endedAt?: string | null;
  marks: PullMarkDto[];
  /** The devices that tell of it */
  deviceIds: string[];
};
export type AskPullDto = {
  /** The tablet that asks */
  tabletId: string;
  /** First name of whoever stands there */
  name?: string | null;
};
export type GivePullDto = {
  /** The tablet that says so: the one that holds it, or the one that has asked and got no answer */
  tabletId: string;
  /** The tablet that holds it from now on; the holder itself says no */
  toId: string;
};
export type ImportState =
  "reading" | "unreadable" | "read" | "taking" | "taken" | "taken-back";
export type TransferTable =
  | "grinders"
  | "machines"
  | "baskets"
  | "scales"
  | "coffees"
  | "bags"
  | "methods"
  | "people"
  | "stations"
  | "runs"
  | "cards"
  | "card_versions"
  | "card_proposals"
  | "shots"
  | "tastings"
  | "shot_edits"
  | "tasting_edits"
  | "palates"
  | "found_doses"
  | "weighings"
  | "openings"
  | "coffee_changes"
  | "day_moves"
  | "station_events"
  | "preparations"
  | "keepers"
  | "hand_overs"
  | "room_readings"
  | "drinks"
  | "basket_rows"
  | "care_done"
  | "care_rules"
  | "buttons"
  | "shot_traces";
export type ImportTableView = {
  table: TransferTable;
  /** Rows that would come in */
  fresh: number;
  /** Rows that are here already */
  here: number;
  /** Rows that are here in another form, which stays */
  differing: number;
  /** Rows that cannot come in */
  refused: number;
};
export type ImportView = {
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  fileName: string;
  state: ImportState;
  rowsRead: number;
  tables: ImportTableView[];
  /** Files that are of no table */
  notRead: string[];
  /** Why it cannot be read or taken */
  problem: string | null;
  takenAt: string | null;
  takenBackAt: string | null;
  /** Until when it can be taken back */
  takeBackUntil: string | null;
};
export type ImportPage = {
  items: ImportView[];
  total: number;
  page: number;
  pageSize: number;
};
export type ImportOutcome = "new" | "same" | "alike" | "differs" | "refused";
export type ImportErrorView = {
  path: string;
  message: string;
};
export type ImportRowView = {
  seq: number;
  file: string;
  /** Line of the file */
  line: number;
  outcome: ImportOutcome;
  errors: ImportErrorView[];
};
export type ImportRowPage = {
  items: ImportRowView[];
  total: number;
  page: number;
  pageSize: number;
};
export type ChangedRowsView = {
  table: TransferTable;
  rows: number;
};
export type SinceImportView = {
  /** Changed here since: they go, too */
  edited: ChangedRowsView[];
  /** Written since on what it brought: nothing can be taken back while they stand */
  hungOn: ChangedRowsView[];
};
export type MatchTable = "shots" | "coffees";
export type Delimiter = "," | ";" | "\t" | "|";
export type DecimalMark = "." | ",";
export type DateOrder = "ymd" | "dmy" | "mdy";
export type MatchTarget =
  | "pulled_at"
  | "coffee"
  | "station"
  | "grind"
  | "dose_g"
  | "yield_g"
  | "yield_ml"
  | "time_s"
  | "temperature_c"
  | "first_drip_s"
  | "soak_s"
  | "cover_s"
  | "grind_s"
  | "tds_percent"
  | "balance"
  | "body"
  | "dryness"
  | "sweetness"
  | "overall"
  | "pulled_by"
  | "note"
  | "name"
  | "roaster"
  | "origin"
  | "process"
  | "altitude_m"
  | "roast"
  | "notes"
  | "decaf";
export type MatchedColumnDto = {
  /** As the first line of the file says */
  header: string;
  /** null leaves the column out */
  column?: MatchTarget | (null | null);
};
export type MatchDto = {
  table: MatchTable;
  delimiter: Delimiter;
  decimal: DecimalMark;
  dates: DateOrder;
  columns: MatchedColumnDto[];
  /** Where its shots were pulled, for rows that do not say it */
  stationId?: string | null;
  /** Coffees that are not on the shelf are put there with this roast; null refuses their rows */
  newRoast?: Roast | (null | null);
};
export type RememberedMatchView = {
  id: string;
  revision: number;
  /** First name of whoever wrote it last; empty where nobody said so */
  changedBy: string;
  createdAt: string;
  updatedAt: string;
  headers: string[];
  match: MatchDto;
};
export type RememberedMatchPage = {
  items: RememberedMatchView[];
  total: number;
  page: number;
  pageSize: number;
};
export const {
  useGetDoorQuery,
  useEnterMutation,
  useListTabletsQuery,
  useLetOutTabletMutation,
  useGetShopQuery,
  usePutShopMutation,
  useListGrindersQuery,
  useGetGrinderQuery,
  usePutGrinderMutation,
  useListMachinesQuery,
  useGetMachineQuery,
  usePutMachineMutation,
  useListBasketsQuery,
  useGetBasketQuery,
  usePutBasketMutation,
  useListCoffeesQuery,
  useGetCoffeeQuery,
  usePutCoffeeMutation,
  useListBagsQuery,
  useGetBagQuery,
  usePutBagMutation,
  useListStationsQuery,
  useGetStationQuery,
  usePutStationMutation,
  useGetSheetQuery,
  useListRunsQuery,
  useGetRunQuery,
  usePutRunMutation,
  useListPalatesQuery,
  useForgetPalateMutation,
  useGetStartQuery,
  useGetShotTraceQuery,
  useGetShotHistoryQuery,
  useListShotsQuery,
  useGetShotQuery,
  usePutShotMutation,
  useListTastingsQuery,
  useGetTastingQuery,
  usePutTastingMutation,
  useListCardsQuery,
  useGetCardQuery,
  useMoveFoundTimeMutation,
  usePutPrintedMutation,
  useProposeCardMutation,
  useAnswerProposalMutation,
  useGetLastPulledQuery,
  useKeepCardMutation,
  useGetBoardQuery,
  useSetUpStationMutation,
  useListBarScalesQuery,
  useGetBarScaleQuery,
  usePutBarScaleMutation,
  useGetTimedDoseQuery,
  useListDoseWeighingsQuery,
  useGetDoseWeighingQuery,
  usePutDoseWeighingMutation,
  useListFoundDosesQuery,
  useGetFoundDoseQuery,
  usePutFoundDoseMutation,
  useListOwnMethodsQuery,
  useGetOwnMethodQuery,
  usePutOwnMethodMutation,
  useListOpeningsQuery,
  useGetOpeningQuery,
  usePutOpeningMutation,
  useGetStockQuery,
  useGetWearQuery,
  useGetTastedTodayQuery,
  useGetCalendarQuery,
  useAskAdviceMutation,
  useGetLivenessQuery,
  useGetHealthQuery,
  useListCorrectionsQuery,
  useListPeopleQuery,
  useGetPersonQuery,
  usePutPersonMutation,
  useGetStationDayQuery,
  usePutSeveralShotsMutation,
  useListCoffeeChangesQuery,
  useGetCoffeeChangeQuery,
  usePutCoffeeChangeMutation,
  useGetProposalQuery,
  useListDayMovesQuery,
  useGetDayMoveQuery,
  usePutDayMoveMutation,
  useListStationEventsQuery,
  useGetStationEventQuery,
  usePutStationEventMutation,
  useHoldKeeperMutation,
  useGoOnKeepingMutation,
  useListKeepersQuery,
  useGetKeeperQuery,
  usePutKeeperMutation,
  useGetBasketTableQuery,
  useListBasketRowsQuery,
  useGetBasketRowQuery,
  usePutBasketRowMutation,
  useGetCareQuery,
  useListCareDoneQuery,
  useGetCareDoneQuery,
  usePutCareDoneMutation,
  useListCareRulesQuery,
  useGetCareRuleQuery,
  usePutCareRuleMutation,
  useListPreparationsQuery,
  useGetPreparationQuery,
  usePutPreparationMutation,
  useGetPreparedQuery,
  useListDrinksQuery,
  useGetDrinkQuery,
  usePutDrinkMutation,
  useListMachineButtonsQuery,
  useGetMachineButtonQuery,
  usePutMachineButtonMutation,
  useListLearnedHereQuery,
  useListHandOversQuery,
  useGetHandOverQuery,
  usePutHandOverMutation,
  useGetHappenedQuery,
  useListRoomReadingsQuery,
  useGetRoomReadingQuery,
  usePutRoomReadingMutation,
  useCommandDeviceMutation,
  useGetRecentReportsQuery,
  useListDevicesQuery,
  useGetDeviceQuery,
  usePutDeviceMutation,
  useListOpenPullsQuery,
  useGetPullQuery,
  usePutPullMutation,
  useAskForPullMutation,
  useGivePullMutation,
  useExportShopQuery,
  useExportTableQuery,
  useExportCardQuery,
  useListImportsQuery,
  useGetImportQuery,
  usePutImportMutation,
  useListImportRowsQuery,
  useGetSinceImportQuery,
  useTakeImportMutation,
  useTakeBackImportMutation,
  useListImportMatchesQuery,
} = injectedRtkApi;
