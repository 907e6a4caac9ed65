import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { createRoot } from 'react-dom/client'
import { BrowserRouter } from 'react-router'
import { App } from './App'
import { speakAsChosen } from './languages/language'
import { Problem } from './shared/api/http'
import { Look } from './shared/theme/Look'

const cache = new QueryClient({
  defaultOptions: {
    queries: {
      // What the server has refused it will refuse again; only a lost line is worth another try.
      retry: (times, error) => times < 3 && error instanceof Problem && error.body.status === 0,
      refetchOnWindowFocus: true,
    },
  },
})

await speakAsChosen()
createRoot(document.getElementById('root')!).render(
  <QueryClientProvider client={cache}>
    <Look>
      <BrowserRouter>
        <App />
      </BrowserRouter>
    </Look>
  </QueryClientProvider>,
)
