import { Button, Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { api, ask, RefusedError } from '../api/client';
import type { NumberElement } from '../api/types';
import { useAnswer } from '../moment/useAnswer';
import { useGo, useMoment } from '../moment/useMoment';
import { TAKING_CALLS, usualSite } from '../plan/kinds';
import { useEdit } from '../plan/useEdit';
import { usePlan } from '../plan/usePlan';
import { useWrite } from '../plan/writes';
import { SiteField } from '../ui/ElementField';
import { ElementPicker } from '../ui/ElementPicker';
import { type EditorProps, ElementScreen } from '../ui/ElementScreen';
import { Field } from '../ui/Field';
import { FindingsAt } from '../ui/FindingsAt';
import { LanguageSelect } from '../ui/LanguageSelect';
import { PhoneNumberField, PhoneNumberText } from '../ui/PhoneNumberField';
import { BY_LABEL } from '../ui/searched';
import { BlockChoice, BlockFields, BlockTable } from './Block';
import { GivenUp } from './GivenUp';
import styles from './numbers.module.css';

export function NumbersScreen() {
    const plan = usePlan();
    return (
        <ElementScreen
            kind="number"
            empty={
                plan?.all('site').length === 0
                    ? 'There is no number yet. Its site comes first: the country there says how numbers are typed.'
                    : 'There is no number yet. Add the first one below, as you would dial it.'
            }
            searchable={(number) => `${number.number} ${plan?.find(number.target)?.name ?? ''}`}
            note={(number) => (
                <>
                    {plan?.international(number.number) ?? <PhoneNumberText number={number.number} />}
                    {number.block && `–${number.block.last.slice(-3)}`} → <Leads number={number} />
                </>
            )}
            editor={(props) => <NumberEditor {...props} />}
            adder={<NumberAdder />}
        />
    );
}

function NumberEditor({ value, change, error, disabled }: EditorProps<NumberElement>) {
    const plan = usePlan();
    const { moment, change: choose } = useMoment();
    const { data: trace } = useAnswer();
    const [opened, setOpened] = useState(false);
    const isBlock = value.block !== null || opened;
    const country = plan?.get('site', value.site)?.country ?? 'GB';
    return (
        <>
            <div className="fields">
                <PhoneNumberField
                    label={isBlock ? 'First number' : 'Number'}
                    value={value.number}
                    country={country}
                    disabled={disabled}
                    error={error('/number')}
                    onSave={(number) => change({ ...value, number })}
                />
                {isBlock && (
                    <BlockFields value={value} country={country} disabled={disabled} error={error} change={change} />
                )}
                <SiteField
                    value={value.site}
                    hint="Its country says how numbers are typed"
                    error={error('/site')}
                    disabled={disabled}
                    onChange={(site) => change({ ...value, site })}
                />
                <LanguageSelect
                    value={value.language}
                    disabled={disabled}
                    error={error('/language')}
                    onChange={(language) => change({ ...value, language })}
                />
                <Field
                    label={value.block?.extension ? 'Free ones go to' : 'Calls go to'}
                    hint="A journey, a person, a team, a queue or a mailbox"
                    error={error('/target')}
                >
                    {(a11y) => (
                        <ElementPicker
                            id={a11y.id}
                            status={a11y.status}
                            label={value.block?.extension ? 'Free ones go to' : 'Calls go to'}
                            kinds={TAKING_CALLS}
                            value={value.target}
                            clearable
                            disabled={disabled}
                            onChange={(target) => change({ ...value, target })}
                        />
                    )}
                </Field>
            </div>
            <div className={styles.more}>
                <BlockChoice
                    value={value}
                    isBlock={isBlock}
                    disabled={disabled}
                    onBlock={(next) => {
                        setOpened(next);
                        if (!next && value.block) change({ ...value, block: null });
                    }}
                />
                <Checkbox
                    checked={value.tellsCaller}
                    disabled={disabled}
                    onChange={(event) => change({ ...value, tellsCaller: event.target.checked })}
                >
                    Its line delivers the numbers of callers
                </Checkbox>
                <GivenUp value={value} disabled={disabled} error={error('/keptUntil')} change={change} />
            </div>
            <FindingsAt pointer="/target" />
            <FindingsAt pointer="/keptUntil" />
            {value.block && <BlockTable number={value} />}
            {value.number.endsWith('*') ? null : moment.to === value.number ? (
                <p className="tried">
                    <b>A call now:</b> {trace?.sentence}
                </p>
            ) : (
                <Button onClick={() => choose({ to: value.number, zone: '' })}>Try a call to this number</Button>
            )}
        </>
    );
}

/** What a number leads to, in few words. */
function Leads({ number }: { number: NumberElement }) {
    const target = usePlan()?.find(number.target);
    if (target) return target.name;
    return number.keptUntil ? 'given up' : <span className="missing">nowhere yet</span>;
}

function NumberAdder() {
    const plan = usePlan();
    const { add } = useEdit();
    const told = useWrite();
    const go = useGo();
    const [text, setText] = useState('');
    const [site, setSite] = useState<string>();
    const [refused, setRefused] = useState<string>();
    const sites = plan?.all('site') ?? [];
    const usual = plan && usualSite(plan);
    const chosen = sites.find((one) => one.id === site);

    const submit = async () => {
        if (!text.trim() || !usual) return;
        setRefused(undefined);
        // Unless it is said where, the number tells.
        const possible = chosen ? [chosen] : [usual, ...sites];
        const query = { text, country: [...new Set(possible.map((one) => one.country))].join(',') };
        const read = await told(async () => {
            try {
                return await ask(api.GET('/api/phone-numbers', { params: { query } }));
            } catch (error) {
                if (!(error instanceof RefusedError) || !error.problem.errors) throw error;
                setRefused(error.problem.detail);
                return null;
            }
        });
        if (!read) return;
        const taken = plan?.all('number').find((one) => one.number === read.number && !one.block);
        if (taken) {
            setRefused(`${read.international} is here already, as “${taken.name}”.`);
            return;
        }
        const its = possible.find((one) => one.country === read.country) ?? usual;
        const made = await add({
            kind: 'number',
            name: read.international,
            number: read.number,
            site: its.id,
            language: its.language,
            target: null,
            tellsCaller: true,
            block: null,
            keptUntil: null,
        } as never);
        if (!made) return;
        setText('');
        go(`/numbers/${made}`);
    };

    if (sites.length === 0)
        return (
            <Button size="small" onClick={() => go('/sites')}>
                Add a site
            </Button>
        );
    return (
        <div className="adder stack">
            <Field
                label="New number"
                error={refused}
                hint="As you would dial it there; with * at the end for all that begin so"
            >
                {(a11y) => (
                    <Input
                        {...a11y}
                        size="small"
                        inputMode="tel"
                        placeholder="01632 960 123"
                        value={text}
                        onChange={(event) => setText(event.target.value)}
                        onPressEnter={submit}
                    />
                )}
            </Field>
            <div className="line-row">
                <Select
                    aria-label="Site of the new number"
                    size="small"
                    style={{ width: 150 }}
                    showSearch={BY_LABEL}
                    value={chosen?.id ?? ''}
                    options={[
                        { value: '', label: 'by the number' },
                        ...sites.map((one) => ({ value: one.id, label: one.name })),
                    ]}
                    onChange={setSite}
                />
                <Button size="small" disabled={!text.trim()} onClick={submit}>
                    Add
                </Button>
            </div>
        </div>
    );
}
