import { useQueryClient } from '@tanstack/react-query';
import { App, Button, Checkbox, Select } from 'antd';
import { memo, useMemo, useState } from 'react';
import { api, ask } from '../api/client';
import type { Person } from '../api/types';
import { useGo } from '../moment/useMoment';
import { patchDraft, usePlan } from '../plan/usePlan';
import { useWrite } from '../plan/writes';
import { BY_LABEL } from '../ui/searched';

type Option = { value: string; label: string };

/** What concerns others as well: copying the rules to them, or somebody else in this person's place. */
export const OtherPeople = memo(function OtherPeople({ person }: { person: Person }) {
    const plan = usePlan();
    const others = useMemo(
        () =>
            (plan?.all('person') ?? [])
                .filter((one) => one.id !== person.id)
                .map((one) => ({ value: one.id, label: one.extension ? `${one.name} (${one.extension})` : one.name })),
        [plan, person.id],
    );
    return (
        <>
            <h2>Other people</h2>
            {person.rules.length > 0 && <CopyRules person={person} others={others} />}
            <InPlaceOf person={person} others={others} />
        </>
    );
});

function CopyRules({ person, others }: { person: Person; others: Option[] }) {
    const queries = useQueryClient();
    const told = useWrite();
    const { message, modal } = App.useApp();
    const [copyTo, setCopyTo] = useState<string[]>([]);

    const copy = async () => {
        const params = { path: { id: person.id } };
        const change = await told(() =>
            ask(api.POST('/api/plans/draft/people/{id}/copy-rules', { params, body: { to: copyTo } })),
        );
        if (!change) return;
        patchDraft(queries, change);
        setCopyTo([]);
        message.success(`${change.label}. Undo takes it back.`);
        if (change.leftOut.length > 0)
            modal.info({
                title: 'Some rules were left out',
                content: change.leftOut
                    .map((one) => `${one.person}: ${one.rules} of them, for want of such a phone`)
                    .join('; '),
            });
    };

    return (
        <div className="line-row wrap">
            <span>Copy these rules to</span>
            <Select
                aria-label="Copy the rules to"
                mode="multiple"
                size="small"
                style={{ minWidth: 260 }}
                showSearch={BY_LABEL}
                value={copyTo}
                options={others}
                onChange={setCopyTo}
            />
            <Button size="small" disabled={copyTo.length === 0} onClick={copy}>
                Copy, in place of theirs
            </Button>
        </div>
    );
}

/** Somebody else takes this person's place everywhere. */
function InPlaceOf({ person, others }: { person: Person; others: Option[] }) {
    const plan = usePlan();
    const queries = useQueryClient();
    const told = useWrite();
    const { message, modal } = App.useApp();
    const go = useGo();
    const [into, setInto] = useState<string | null>(null);
    const [withPhones, setWithPhones] = useState(true);
    const name = plan?.get('person', into)?.name;

    const merge = async () => {
        if (!into) return;
        const params = { path: { id: person.id } };
        const change = await told(() =>
            ask(api.POST('/api/plans/draft/people/{id}/merge', { params, body: { into, withPhones } })),
        );
        if (!change) return;
        patchDraft(queries, change);
        message.success(`${change.label}. Undo brings ${person.name} back.`);
        go(`/people/${into}`);
    };
    const confirm = async () => {
        if (!into) return;
        const { places } = await ask(
            api.GET('/api/plans/draft/elements/{id}/uses', { params: { path: { id: person.id } } }),
        );
        modal.confirm({
            title: `${name} in the place of ${person.name}`,
            okText: `Remove ${person.name}`,
            content: (
                <>
                    <p>
                        {places.length === 0
                            ? 'Nothing mentions them.'
                            : `From then on ${places.length === 1 ? 'this mentions' : 'these mention'} ${name}:`}
                    </p>
                    <ul>
                        {places.slice(0, 12).map((place) => (
                            <li key={place.id + place.pointer}>
                                <b>{place.name}</b> {place.role}
                            </li>
                        ))}
                        {places.length > 12 && <li>and {places.length - 12} more</li>}
                    </ul>
                    {withPhones && (
                        <p>The phones come along, and what {name} lacks: the extension, the own mailbox, the rules.</p>
                    )}
                </>
            ),
            onOk: merge,
        });
    };

    return (
        <div className="line-row wrap">
            <span>Put</span>
            <Select
                aria-label={`Who takes the place of ${person.name}`}
                size="small"
                style={{ minWidth: 200 }}
                showSearch={BY_LABEL}
                placeholder="somebody else"
                value={into}
                options={others}
                onChange={setInto}
            />
            <span>in the place of {person.name} everywhere,</span>
            <Checkbox checked={withPhones} onChange={(event) => setWithPhones(event.target.checked)}>
                with these phones
            </Checkbox>
            <Button size="small" disabled={!into} onClick={confirm}>
                Show what that changes …
            </Button>
        </div>
    );
}
