import { Select } from 'antd';
import { useState } from 'react';
import { ALL_KINDS, KINDS } from '../plan/kinds';
import type { PlanIndex } from '../plan/seenPlan';
import { usePlan } from '../plan/usePlan';
import { BY_LABEL } from '../ui/searched';
import { useAnswer } from './useAnswer';
import { useMoment } from './useMoment';

interface Choice {
    value: string;
    label: string;
    /** Shown once it is chosen. */
    name: string;
}

interface Group {
    label: string;
    title: string;
    options: Choice[];
}

const NONE: Group[] = [];

/** What is dialled: a number, an extension, a code; or what is tried straight. */
export function NumberCalled() {
    const { moment, change } = useMoment();
    const plan = usePlan();
    const [isOpen, setOpen] = useState(false);
    // Closed, it needs the name of what is chosen only: a plan may have thousands of numbers, and the bar is on every screen.
    const groups = plan && isOpen ? choices(plan, () => true) : NONE;
    // A number of a block is told by the answer.
    const called = useAnswer().data?.call;
    const chosen = plan && choices(plan, (one) => one === moment.to)[0]?.options[0]?.name;

    return (
        <Select
            aria-label="Number called"
            className="to"
            optionLabelProp="name"
            // What is not in the plan any more has no name; a long one is cut off where there is little room.
            labelRender={({ value }) => {
                const name = chosen ?? (called?.to === value ? called.name : null) ?? String(value);
                return <span title={name}>{name}</span>;
            }}
            showSearch={BY_LABEL}
            value={moment.to || null}
            popupMatchSelectWidth={300}
            open={isOpen}
            onOpenChange={setOpen}
            options={groups}
            onChange={(to) => change({ to })}
        />
    );
}

function choices(plan: PlanIndex, isWanted: (value: string) => boolean): Group[] {
    const numbers = plan
        .all('number')
        .filter((one) => !one.number.endsWith('*') && isWanted(one.number))
        .map(
            (one): Choice => ({
                value: one.number,
                label: `${one.name} · ${plan.international(one.number) ?? one.number}`,
                name: one.name,
            }),
        );
    const extensions = plan
        .all('person')
        .filter((one) => one.extension && isWanted(one.extension))
        .map((one): Choice => ({ value: one.extension, label: `${one.name} · ${one.extension}`, name: one.name }));
    const straight = ALL_KINDS.filter((kind) => KINDS[kind].takesCalls).flatMap((kind) =>
        plan
            .all(kind)
            .filter((one) => isWanted(one.id))
            .map(({ id, name }): Choice => ({ value: id, label: `${name} · ${KINDS[kind].one}`, name })),
    );
    const codes = plan.all('hours').flatMap((hours) =>
        hours.codes
            .filter((code) => isWanted(code.code))
            .map(
                (code): Choice => ({
                    value: code.code,
                    label: `${code.code} · ${code.state === null ? `lifts what is forced on ${hours.name}` : `${hours.name}: ${hours.states.find((one) => one.key === code.state)?.name}`}`,
                    name: code.code,
                }),
            ),
    );
    return [
        { label: 'Numbers', title: 'Numbers', options: numbers },
        { label: 'Extensions', title: 'Extensions', options: extensions },
        { label: 'Straight to', title: 'Straight to, by no number', options: straight },
        { label: 'Codes', title: 'Codes', options: codes },
    ].filter((group) => group.options.length > 0);
}
