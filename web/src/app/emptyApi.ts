import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

/** The one API of the page; endpoints are generated from the server's own description. */
export const emptyApi = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: window.location.origin }),
  endpoints: () => ({}),
});
