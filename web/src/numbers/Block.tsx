import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox, Radio, Table } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import type { BlockNumber, NumberElement } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { usePlan } from '../plan/usePlan';
import { PhoneNumberField } from '../ui/PhoneNumberField';
import { TextField } from '../ui/TextField';

/** Up to which number a block goes, and for which extensions its numbers are. */
export function BlockFields({
    value,
    country,
    disabled,
    error,
    change,
}: {
    value: NumberElement;
    country: string;
    disabled: boolean;
    error: (pointer: string) => string | undefined;
    change: (next: NumberElement) => void;
}) {
    const block = value.block;
    return (
        <>
            <PhoneNumberField
                label="Last number of the block"
                value={block?.last ?? ''}
                country={country}
                disabled={disabled}
                error={error('/block/last') ?? error('/block')}
                onSave={(last) => change({ ...value, block: { last, extension: block?.extension ?? '' } })}
            />
            {block && (
                <TextField
                    label="Extension of the first"
                    hint="The next number is for the next one; empty where all go to one place"
                    value={block.extension}
                    disabled={disabled}
                    error={error('/block/extension')}
                    onSave={(extension) => change({ ...value, block: { ...block, extension } })}
                />
            )}
        </>
    );
}

/** Whether a number is the first of a block. */
export function BlockChoice({
    value,
    isBlock,
    disabled,
    onBlock,
}: {
    value: NumberElement;
    isBlock: boolean;
    disabled: boolean;
    onBlock: (isBlock: boolean) => void;
}) {
    return value.number.endsWith('*') ? (
        <p className="quiet">All numbers that begin so come here, unless one of its own or a block has them.</p>
    ) : (
        <div>
            <Checkbox checked={isBlock} disabled={disabled} onChange={(event) => onBlock(event.target.checked)}>
                It is the first of a block of numbers
            </Checkbox>
        </div>
    );
}

const SHOWN = [
    { value: 'all', label: 'All' },
    { value: 'person', label: 'Somebody’s' },
    { value: 'exception', label: 'Stand alone' },
    { value: 'free', label: 'Free' },
] as const;

/** Whose each number of a block is. */
export function BlockTable({ number }: { number: NumberElement }) {
    const { moment, search, change } = useMoment();
    const plan = usePlan();
    const [shown, setShown] = useState<(typeof SHOWN)[number]['value']>('all');
    const { data } = useQuery({
        queryKey: ['block', moment.in, number.id, plan?.stamp],
        queryFn: () =>
            ask(
                api.GET('/api/plans/{which}/numbers/{id}/block', {
                    params: { path: { which: moment.in, id: number.id } },
                }),
            ),
        placeholderData: (before) => before,
    });
    // Also while what was typed is refused: what is stored is no block then.
    if (!data?.numbers.length) return null;
    const numbers = data.numbers;
    const count = (how: string) => numbers.filter((one) => how === 'all' || one.how === how).length;
    return (
        <section aria-label="Numbers of the block">
            <h2>Its numbers</h2>
            <Radio.Group
                size="small"
                optionType="button"
                aria-label="Which of its numbers"
                value={shown}
                onChange={(event) => setShown(event.target.value)}
                options={SHOWN.map(({ value, label }) => ({ value, label: `${label} ${count(value)}` }))}
            />
            <Table
                size="small"
                rowKey="number"
                dataSource={numbers.filter((one) => shown === 'all' || one.how === shown)}
                pagination={{ pageSize: 20, hideOnSinglePage: true, showSizeChanger: false }}
                columns={[
                    {
                        title: 'Number',
                        width: 170,
                        render: (_, one: BlockNumber) => <span className="figures">{one.international}</span>,
                    },
                    { title: 'Extension', width: 90, dataIndex: 'extension' },
                    {
                        title: 'Whose it is',
                        render: (_, one: BlockNumber) => {
                            const path = one.how === 'person' ? 'people' : 'numbers';
                            const name = plan?.find(one.leads)?.name;
                            return one.how === 'free' ? (
                                <span className="quiet">free</span>
                            ) : (
                                <>
                                    <Link to={{ pathname: `/${path}/${one.leads}`, search }}>{name}</Link>
                                    {one.how === 'exception' && <span className="quiet">, a number of its own</span>}
                                </>
                            );
                        },
                    },
                    {
                        title: 'A call',
                        width: 80,
                        render: (_, one: BlockNumber) => (
                            <Button size="small" type="link" onClick={() => change({ to: one.number, zone: '' })}>
                                Try it
                            </Button>
                        ),
                    },
                ]}
            />
        </section>
    );
}
