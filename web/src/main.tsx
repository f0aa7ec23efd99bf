import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app';
import { Failure } from './common/api';
import './theme.css';

const client: QueryClient = new QueryClient({
  queryCache: new QueryCache({
    onError: (error, query) => {
      // signed out meanwhile, and nothing on the page yet that could be lost: ask who is there
      if (
        error instanceof Failure &&
        error.problem?.code === 'not-signed-in' &&
        query.state.data === undefined
      )
        void client.invalidateQueries({ queryKey: ['session'] });
    },
  }),
  defaultOptions: {
    // the nursery's server may well be on this machine: whether there is a network says nothing
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 15_000,
      // an answer is an answer; only silence is worth asking again
      retry: (count, error) => count < 2 && !(error instanceof Failure && error.problem),
    },
  },
});

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <App />
    </QueryClientProvider>
  </StrictMode>,
);
