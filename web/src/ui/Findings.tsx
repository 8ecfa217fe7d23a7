import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { applyPatch, type Operation } from 'fast-json-patch';
import type { Finding, Fix } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { useEdit } from '../plan/useEdit';
import { bodyOf, usePlan } from '../plan/usePlan';
import { useWrite } from '../plan/writes';

/** What callers would not want, where the cause is, each with what mends it in one click. */
export function Findings({ found }: { found: Finding[] }) {
    return found.map((one) => (
        <p key={one.pointer + one.detail} className="notice finding" role="status">
            {one.detail} <FixButton fix={one.fix} />
            {!one.fix && one.remedy}
        </p>
    ));
}

export function FixButton({ fix }: { fix: Fix | null }) {
    const { moment } = useMoment();
    const plan = usePlan();
    const { save } = useEdit();
    const told = useWrite();
    const queries = useQueryClient();
    if (!fix || !plan?.find(fix.element) || moment.in !== 'draft') return null;
    const mend = () =>
        told(async () => {
            const element = await bodyOf(queries, fix.element);
            return save(applyPatch(element, fix.patch as Operation[], true, false).newDocument);
        });
    return (
        <Button size="small" onClick={mend}>
            {fix.label}
        </Button>
    );
}
