import { Button, Tooltip } from 'antd';
import { Suspense, useEffect, useState } from 'react';
import { NavLink, Outlet, useLocation } from 'react-router';
import { ToCome } from '../editions/ToCome';
import { FindButton } from '../find/FindButton';
import { AnswerStrip } from '../moment/AnswerStrip';
import { MomentBar } from '../moment/MomentBar';
import { useAnswer } from '../moment/useAnswer';
import { useMoment } from '../moment/useMoment';
import { OverrideBanner } from '../overrides/OverrideBanner';
import { useEdit } from '../plan/useEdit';
import { usePlan, usePlanError } from '../plan/usePlan';
import type { Mode } from '../theme';
import { Broken, Fetching } from './Broken';
import { JobsNotice } from './JobsNotice';
import { KeysButton } from './KeysButton';
import { fetchTheRest } from './later';
import { Mark } from './Mark';
import { ServerNotice } from './ServerNotice';
import { FIRST_SCREEN, GROUPS } from './screens';
import { usePageTitle } from './usePageTitle';
import { useTopHeight } from './useTopHeight';

/** The frame of every screen: the moment bar, its answer, and the way to the screens. */
export function Shell({ mode, onMode }: { mode: Mode; onMode: (mode: Mode) => void }) {
    const { moment, search } = useMoment();
    const plan = usePlan();
    const error = usePlanError();
    const edit = useEdit();
    const undo = plan?.plan.undo?.label;
    const redo = plan?.plan.redo?.label;
    usePageTitle();
    const top = useTopHeight<HTMLElement>();
    const [, pathname] = useLocation().pathname.split('/');
    const editable = moment.in === 'draft';
    const { isSuccess: isAnswered } = useAnswer();
    /** Where there is little room, the way to the screens is opened when it is wanted. */
    const [isOpen, setIsOpen] = useState(false);

    useEffect(() => {
        if (isAnswered) fetchTheRest();
    }, [isAnswered]);

    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const typing =
                event.target instanceof HTMLElement && event.target.closest('input, textarea, [contenteditable]');
            if (typing || !(event.ctrlKey || event.metaKey) || event.altKey || !editable) return;
            const key = event.key.toLowerCase();
            if (key === 'z' || key === 'y') {
                event.preventDefault();
                (key === 'y' || event.shiftKey ? edit.redo : edit.undo)();
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, [edit, editable]);

    const link = ({ path, name }: { path: string; name: string }) => (
        <NavLink key={path} to={{ pathname: path, search }} end={path === '/'} onClick={() => setIsOpen(false)}>
            {name}
        </NavLink>
    );

    return (
        <div className="shell">
            <a className="skip" href="#main">
                Skip to the screen
            </a>
            <nav className={isOpen ? 'rail open' : 'rail'} aria-label="Screens">
                <div className="brand">
                    <Mark /> Meandros
                    <FindButton />
                    <Button className="opener" aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)}>
                        Screens
                    </Button>
                </div>
                {link(FIRST_SCREEN)}
                {GROUPS.map(({ title, screens }) => (
                    <div key={title} className="rail-group">
                        <h2>{title}</h2>
                        {screens.map(link)}
                    </div>
                ))}
                <div className="rail-foot">
                    <Tooltip title={undo ? `Take back: ${undo} (Ctrl+Z)` : 'Nothing to take back'} placement="top">
                        <Button
                            size="small"
                            type="text"
                            aria-label="Undo"
                            disabled={!undo || !editable}
                            onClick={edit.undo}
                        >
                            ↶
                        </Button>
                    </Tooltip>
                    <Tooltip title={redo ? `Do again: ${redo} (Ctrl+Y)` : 'Nothing to do again'} placement="top">
                        <Button
                            size="small"
                            type="text"
                            aria-label="Redo"
                            disabled={!redo || !editable}
                            onClick={edit.redo}
                        >
                            ↷
                        </Button>
                    </Tooltip>
                    <KeysButton />
                    <Button size="small" type="text" onClick={() => onMode(mode === 'dark' ? 'light' : 'dark')}>
                        {mode === 'dark' ? 'Light' : 'Dark'}
                    </Button>
                </div>
            </nav>
            <div className="stage">
                <header className="top" ref={top}>
                    <ServerNotice />
                    <JobsNotice />
                    <OverrideBanner />
                    <ToCome />
                    <MomentBar />
                    <AnswerStrip />
                </header>
                <main id="main" tabIndex={-1}>
                    {!editable && plan && (
                        <p className="notice" role="status">
                            You are looking at {moment.in === 'live' ? 'what is live' : `edition ${moment.in}`}. It
                            cannot be edited; choose the draft in the bar above to edit.
                        </p>
                    )}
                    {plan ? (
                        // Another screen is another try.
                        <Broken key={pathname}>
                            <Suspense fallback={<Fetching />}>
                                <Outlet />
                            </Suspense>
                        </Broken>
                    ) : error ? (
                        <p className="notice alarm">{error.message}</p>
                    ) : (
                        <p className="quiet pad">Fetching the plan …</p>
                    )}
                </main>
            </div>
        </div>
    );
}
