import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { usePlan } from '../plan/usePlan';
import { FIRST_SCREEN, GROUPS } from './screens';

const SCREENS = [FIRST_SCREEN, ...GROUPS.flatMap((group) => group.screens)];

/** What a tab, a bookmark or the browser's history calls the page: "Bookings line · Journeys · Meandros". */
export function usePageTitle() {
    const { pathname } = useLocation();
    const plan = usePlan();
    const [, path = '', id] = pathname.split('/');
    const screen = SCREENS.find((one) => one.path === `/${path}`)?.name;
    const title = [plan?.find(id)?.name, screen, 'Meandros'].filter(Boolean).join(' · ');
    useEffect(() => {
        document.title = title;
    }, [title]);
}
