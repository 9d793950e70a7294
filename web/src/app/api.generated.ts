import { emptyApi as api } from "./emptyApi";
export const addTagTypes = [
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
  "Advice",
  "Health",
] as const;
const injectedRtkApi = api
  .enhanceEndpoints({
    addTagTypes,
  })
  .injectEndpoints({
    endpoints: (build) => ({
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
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
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
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
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
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
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
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
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
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
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
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
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
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
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
            doseGrams: queryArg.doseGrams,
            yieldGrams: queryArg.yieldGrams,
            middleSeconds: queryArg.middleSeconds,
          },
        }),
        providesTags: ["Starts"],
      }),
      getShotHistory: build.query<
        GetShotHistoryApiResponse,
        GetShotHistoryApiArg
      >({
        query: (queryArg) => ({ url: `/api/shots/${queryArg.id}/history` }),
        providesTags: ["Shots"],
      }),
      listShots: build.query<ListShotsApiResponse, ListShotsApiArg>({
        query: (queryArg) => ({
          url: `/api/shots`,
          params: {
            page: queryArg.page,
            pageSize: queryArg.pageSize,
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
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
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
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
            coffeeId: queryArg.coffeeId,
            stationId: queryArg.stationId,
            runId: queryArg.runId,
          },
        }),
        providesTags: ["Cards"],
      }),
      getCard: build.query<GetCardApiResponse, GetCardApiArg>({
        query: (queryArg) => ({ url: `/api/cards/${queryArg.id}` }),
        providesTags: ["Cards"],
      }),
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
      askAdvice: build.mutation<AskAdviceApiResponse, AskAdviceApiArg>({
        query: (queryArg) => ({
          url: `/api/advice`,
          method: "POST",
          body: queryArg.body,
        }),
        invalidatesTags: ["Advice"],
      }),
      getHealth: build.query<GetHealthApiResponse, GetHealthApiArg>({
        query: () => ({ url: `/api/health` }),
        providesTags: ["Health"],
      }),
    }),
    overrideExisting: false,
  });
export { injectedRtkApi as generatedApi };
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
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
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
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
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
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
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
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
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
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
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
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
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
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
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
  doseGrams: number;
  yieldGrams: number;
  /** Middle of the wanted window */
  middleSeconds: number;
};
export type GetShotHistoryApiResponse = /** status 200  */ ShotEditView[];
export type GetShotHistoryApiArg = {
  id: string;
};
export type ListShotsApiResponse = /** status 200  */ ShotPage;
export type ListShotsApiArg = {
  page?: number | null;
  pageSize?: number | null;
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
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
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
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
  coffeeId?: string | null;
  stationId?: string | null;
  runId?: string | null;
};
export type GetCardApiResponse = /** status 200  */ CardDetailView;
export type GetCardApiArg = {
  id: string;
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
export type AskAdviceApiResponse = /** status 200  */ {
  [key: string]: any;
};
export type AskAdviceApiArg = {
  body: {
    [key: string]: any;
  };
};
export type GetHealthApiResponse = /** status 200  */ HealthView;
export type GetHealthApiArg = void;
export type TemperatureUnit = "C" | "F";
export type ShopView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** ISO 4217 */
  currency: string;
  temperatureUnit: TemperatureUnit;
  id: string;
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
};
export type FinerWay = "lower" | "higher";
export type Dosing = "timed" | "weighed";
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
  /** Old grounds to throw out after a change, g */
  purgeGrams: number;
  retiredAt?: string | null;
  id: string;
  createdAt: string;
  updatedAt: string;
  learnedSlope: LearnedSlopeView | null;
};
export type GrinderPage = {
  items: GrinderView[];
  total: number;
  page: number;
  pageSize: number;
};
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
  /** Old grounds to throw out after a change, g */
  purgeGrams: number;
  retiredAt?: string | null;
};
export type TemperatureScaleDto = {
  min: number;
  max: number;
  step: number;
};
export type MachineView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  /** null where it cannot be set */
  temperatureC?: TemperatureScaleDto | null;
  retiredAt?: string | null;
  id: string;
  createdAt: string;
  updatedAt: string;
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
  temperatureC?: TemperatureScaleDto | null;
  retiredAt?: string | null;
};
export type BasketView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  name: string;
  nominalGrams: number;
  minGrams: number;
  maxGrams: number;
  retiredAt?: string | null;
  id: string;
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
  retiredAt?: string | null;
};
export type Roast =
  "light" | "medium-light" | "medium" | "medium-dark" | "dark";
export type NormalView = {
  mean: number;
  sd: number;
};
export type LearnedTasteView = {
  balance: NormalView;
  body: NormalView;
  ratio: number;
  middleSeconds: number;
  temperatureC: number | null;
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
  retiredAt?: string | null;
  id: string;
  createdAt: string;
  updatedAt: string;
  learnedTaste: LearnedTasteView | null;
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
  retiredAt?: string | null;
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
  finishedAt?: string | null;
  id: string;
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
  finishedAt?: string | null;
};
export type MethodId =
  | "one-lever"
  | "balance-walk"
  | "open-light"
  | "small-classic"
  | "slow-soak"
  | "hand-lever";
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
  methodId: MethodId;
  target: TargetDto;
  name: string;
  position?: number | null;
  /** Where the grinder stands now */
  grind?: number | null;
  retiredAt?: string | null;
  id: string;
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
  methodId: MethodId;
  target: TargetDto;
  name: string;
  position?: number | null;
  /** Where the grinder stands now */
  grind?: number | null;
  retiredAt?: string | null;
};
export type RunStatus = "open" | "kept" | "given-up";
export type MessageView = {
  mean: number;
  /** 1/variance */
  precision: number;
};
export type LessonView = {
  /** ln of the change of time for one unit finer */
  slope: MessageView | null;
  balance: MessageView | null;
  body: MessageView | null;
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
  methodId: MethodId;
  target: TargetDto;
  stationId: string;
  /** The flavour aimed at, in words */
  goal?: string | null;
  startGrind?: number | null;
  status: RunStatus;
  startedAt: string;
  endedAt?: string | null;
  id: string;
  createdAt: string;
  updatedAt: string;
  lesson: LessonView | null;
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
};
export type PlannedDto = {
  grind?: number | null;
  doseGrams?: number | null;
  yieldGrams?: number | null;
  temperatureC?: number | null;
};
export type Sign =
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
export type Cause = "not-purged" | "channelled" | "dose-off" | "cold-group";
export type VersusLast = "better" | "same" | "worse";
export type Verdict = "sink" | "serve";
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
  shotId: string;
  /** Who tasted; empty for the one at the bar */
  person?: string | null;
  words?: string | null;
  id: string;
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
  /** null for a shot pulled outside a dial-in */
  runId?: string | null;
  stationId: string;
  pulledAt: string;
  planned?: PlannedDto | null;
  timeSeconds?: number | null;
  timer: TimerStart;
  firstDripSeconds?: number | null;
  tdsPercent?: number | null;
  seen: SeenDto[];
  /** Were old grounds thrown out after the last grind change? */
  purged: boolean;
  /** What went wrong with this shot, once known */
  cause?: Cause | null;
  /** The cup against the one before */
  versusLast?: VersusLast | null;
  verdict?: Verdict | null;
  note?: string | null;
  /** Set when the shot was entered by mistake */
  discardedAt?: string | null;
  id: string;
  createdAt: string;
  updatedAt: string;
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
  /** Of those who tasted */
  palates: PalateView[];
  /** Oldest first; discarded ones left out */
  shots: SheetShotView[];
};
export type RunPage = {
  items: RunView[];
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
  methodId: MethodId;
  target: TargetDto;
  stationId: string;
  /** The flavour aimed at, in words */
  goal?: string | null;
  startGrind?: number | null;
  status: RunStatus;
  startedAt: string;
  endedAt?: string | null;
};
export type PalateDto = {
  /** Tastings before this no longer count */
  forgetBefore: string;
};
export type KeptSettingView = {
  coffeeName: string;
  grind: number;
  daysAgo: number;
};
export type StartView = {
  /** null while the grinder has kept no recipe */
  grind: number | null;
  sd: number | null;
  from: KeptSettingView[];
};
export type ShotView = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grind?: number | null;
  doseGrams?: number | null;
  yieldGrams?: number | null;
  temperatureC?: number | null;
  /** null for a shot pulled outside a dial-in */
  runId?: string | null;
  stationId: string;
  pulledAt: string;
  planned?: PlannedDto | null;
  timeSeconds?: number | null;
  timer: TimerStart;
  firstDripSeconds?: number | null;
  tdsPercent?: number | null;
  seen: SeenDto[];
  /** Were old grounds thrown out after the last grind change? */
  purged: boolean;
  /** What went wrong with this shot, once known */
  cause?: Cause | null;
  /** The cup against the one before */
  versusLast?: VersusLast | null;
  verdict?: Verdict | null;
  note?: string | null;
  /** Set when the shot was entered by mistake */
  discardedAt?: string | null;
  id: string;
  createdAt: string;
  updatedAt: string;
};
export type ShotEditView = {
  revision: number;
  editedAt: string;
  before: ShotView;
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
  id: string;
};
export type ShotDto = {
  /** The revision you last saw; leave out for a new row. */
  revision?: number | null;
  grind?: number | null;
  doseGrams?: number | null;
  yieldGrams?: number | null;
  temperatureC?: number | null;
  /** null for a shot pulled outside a dial-in */
  runId?: string | null;
  stationId: string;
  pulledAt: string;
  planned?: PlannedDto | null;
  timeSeconds?: number | null;
  timer: TimerStart;
  firstDripSeconds?: number | null;
  tdsPercent?: number | null;
  seen: SeenDto[];
  /** Were old grounds thrown out after the last grind change? */
  purged: boolean;
  /** What went wrong with this shot, once known */
  cause?: Cause | null;
  /** The cup against the one before */
  versusLast?: VersusLast | null;
  verdict?: Verdict | null;
  note?: string | null;
  /** Set when the shot was entered by mistake */
  discardedAt?: string | null;
  /** Saved with the shot, all or nothing */
  tasting?: FirstTastingDto | null;
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
  timeSeconds: SecondsWindowDto;
  timer: TimerStart;
  grinderName: string;
  machineName: string;
  basketName: string;
};
export type CardVersionView = {
  id: string;
  revision: number;
  createdAt: string;
  updatedAt: string;
  version: number;
  runId: string | null;
  recipe: RecipeDto;
  tastesLike: string;
  setBy: string;
  note: string;
};
export type CardView = {
  id: string;
  revision: number;
  createdAt: string;
  updatedAt: string;
  name: string;
  coffeeId: string;
  stationId: string;
  purpose: Purpose;
  coffeeName: string;
  stationName: string;
  latest: CardVersionView;
};
export type CardPage = {
  items: CardView[];
  total: number;
  page: number;
  pageSize: number;
};
export type CardDetailView = {
  id: string;
  revision: number;
  createdAt: string;
  updatedAt: string;
  name: string;
  coffeeId: string;
  stationId: string;
  purpose: Purpose;
  coffeeName: string;
  stationName: string;
  latest: CardVersionView;
  /** Newest first */
  versions: CardVersionView[];
};
export type KeepCardDto = {
  /** An existing card gets a new version, an unknown id makes a new card */
  cardId: string;
  versionId: string;
  name: string;
  purpose: Purpose;
  recipe: RecipeDto;
  tastesLike?: string | null;
  setBy?: string | null;
  /** Why it changed */
  note?: string | null;
};
export type StationState =
  "dialled" | "drifting-fast" | "drifting-slow" | "unknown" | "dialling-in";
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
  /** The open dial-in, if any */
  openRunId: string | null;
  cardId: string | null;
  /** The last shots with a time, oldest first */
  shots: BoardShotView[];
};
export type BoardView = {
  stations: BoardStationView[];
  /** Coffee through the grinders since midnight, purges included, g */
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
  finishedAt?: string | null;
  id: string;
};
export type SetupDto = {
  grinder?: GrinderDto | null;
  machine?: MachineDto | null;
  basket?: BasketDto | null;
  coffee?: CoffeeDto | null;
  bag?: SetupBagDto | null;
  station: StationDto;
  run: RunDto;
  runId: string;
};
export type HealthView = {
  status: string;
  database: string;
};
export const {
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
  useGetShotHistoryQuery,
  useListShotsQuery,
  useGetShotQuery,
  usePutShotMutation,
  useListTastingsQuery,
  useGetTastingQuery,
  usePutTastingMutation,
  useListCardsQuery,
  useGetCardQuery,
  useKeepCardMutation,
  useGetBoardQuery,
  useSetUpStationMutation,
  useAskAdviceMutation,
  useGetHealthQuery,
} = injectedRtkApi;
