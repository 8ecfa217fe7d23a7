import '@fontsource-variable/commissioner/wght.css';
import './antd.css';
import './styles.css';
import './narrow.css';
import './forced.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { App } from './App';
import { newQueries } from './api/queries';
import { MomentProvider } from './moment/useMoment';
import { PlanProvider } from './plan/usePlan';
import { Broken } from './ui/Broken';

const queries = newQueries();
const root = document.getElementById('root');
if (root) {
    createRoot(root).render(
        <QueryClientProvider client={queries}>
            <BrowserRouter>
                <MomentProvider>
                    <PlanProvider>
                        <Broken>
                            <App />
                        </Broken>
                    </PlanProvider>
                </MomentProvider>
            </BrowserRouter>
        </QueryClientProvider>,
    );
}
