import { generatedApi } from './api.generated';

/** What a write makes stale beyond its own kind: the board and the run sheet show a bit of everything. */
export const api = generatedApi.enhanceEndpoints({
  endpoints: {
    getBoard: { providesTags: ['Board', 'Stations', 'Shots', 'Runs', 'Cards', 'Coffees', 'Bags', 'Grinders'] },
    getSheet: {
      providesTags: [
        'Palates',
        'Runs',
        'Shots',
        'Tastings',
        'Grinders',
        'Machines',
        'Baskets',
        'Coffees',
        'Bags',
        'Stations',
        'FoundDoses',
        'DoseWeighings',
        'OwnMethods',
      ],
    },
    getStock: { providesTags: ['Shelf', 'Bags', 'Shots'] },
    getWear: { providesTags: ['Shelf', 'Grinders', 'Shots'] },
    getTastedToday: { providesTags: ['Shelf', 'Tastings', 'Shots'] },
    getTimedDose: { providesTags: ['DoseWeighings', 'Shots', 'Grinders'] },
    keepCard: { invalidatesTags: ['Cards', 'Runs', 'Stations', 'Grinders', 'Coffees', 'Palates'] },
    putRun: { invalidatesTags: ['Runs', 'Grinders', 'Coffees', 'Palates'] },
    putShot: { invalidatesTags: ['Shots', 'Grinders', 'Coffees', 'Palates'] },
    putTasting: { invalidatesTags: ['Tastings', 'Grinders', 'Coffees', 'Palates'] },
    setUpStation: {
      invalidatesTags: ['Setup', 'Grinders', 'Machines', 'Baskets', 'Coffees', 'Bags', 'Stations', 'Runs'],
    },
    putCoffee: { invalidatesTags: ['Coffees', 'Cards'] },
    putStation: { invalidatesTags: ['Stations', 'Cards'] },
  },
});

export * from './api.generated';
