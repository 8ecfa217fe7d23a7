import { useQueries } from '@tanstack/react-query';
import { Button, Input, Select } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import type { NumberAnswer, NumberElement } from '../api/types';
import { EndingIcon, endingLabel } from '../call/EndingIcon';
import { toTrialCall } from '../moment/trialCall';
import { useLiveStamp } from '../moment/useLiveStamp';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import type { PlanIndex } from '../plan/seenPlan';
import { usePlan } from '../plan/usePlan';
import { type Column, LongTable } from '../ui/LongTable';
import { PhoneNumberText } from '../ui/PhoneNumberField';
import { isFound } from '../ui/searched';
import { useCalm } from '../ui/useCalm';
import { dateWords } from '../ui/when';
import { ChangeMany } from './ChangeMany';
import { NumberFiles } from './NumberFiles';

/** So many answers are asked for at once. */
const AT_ONCE = 100;
const AFTER_THE_ANSWER = 150;
/** Endings, from the one that callers like least. */
const ENDINGS: NumberAnswer['ending'][] = [
    'loop stopped',
    'callback in vain',
    'ran out of steps',
    'own mailbox',
    'caller gave up',
    'ended by plan',
    'announcement',
    'announced',
    'callback kept',
    'forwarded',
    'fax',
    'message',
    'listens to messages',
    'answered',
];

/** When a number was changed last, and by whom. */
interface LastChange {
    at: string;
    who: string;
}

interface Line {
    number: NumberElement;
    answer: NumberAnswer | undefined;
    changed: LastChange | undefined;
}

const rank = (line: Line) => (line.answer ? ENDINGS.indexOf(line.answer.ending) : ENDINGS.length);

const changedColumn: Column<Line> = {
    title: 'Changed',
    width: 96,
    by: ({ changed }) => changed?.at ?? '',
    cell: ({ changed }) =>
        changed && (
            <span className="quiet">
                {dateWords(changed.at)} {changed.who}
            </span>
        ),
};

/** What the table says of a number besides its answer. */
function namesIn(plan: PlanIndex | undefined) {
    return {
        target: (number: NumberElement) => plan?.find(number.target),
        site: (number: NumberElement) => plan?.get('site', number.site)?.name ?? '',
        international: (number: NumberElement) => plan?.international(number.number) ?? number.number,
    };
}

function useColumns(plan: PlanIndex | undefined): Column<Line>[] {
    const { moment, search, change } = useMoment();
    const { target, site, international } = namesIn(plan);
    return [
        {
            title: 'Number',
            width: 170,
            by: ({ number }) => number.name,
            cell: ({ number }) => (
                <>
                    <Link to={{ pathname: `/numbers/${number.id}`, search }}>{number.name}</Link>
                    {international(number) !== number.name && (
                        <div className="quiet figures">{international(number)}</div>
                    )}
                    <Extent number={number} />
                </>
            ),
        },
        {
            title: 'Site',
            width: 105,
            by: ({ number }) => site(number),
            cell: ({ number }) => site(number),
        },
        {
            title: 'Lang.',
            width: 62,
            by: ({ number }) => number.language,
            cell: ({ number }) => number.language,
        },
        {
            title: 'Leads to',
            width: 125,
            by: ({ number }) => target(number)?.name ?? '',
            cell: ({ number }) => {
                const element = target(number);
                return element ? (
                    <Link to={{ pathname: `/${KINDS[element.kind].path}/${element.id}`, search }}>{element.name}</Link>
                ) : number.keptUntil ? null : (
                    <span className="missing">nowhere yet</span>
                );
            },
        },
        {
            title: 'Ends',
            width: 120,
            by: rank,
            cell: ({ answer }) =>
                answer && (
                    <span className="line-row tight">
                        <EndingIcon kind={answer.ending} /> {endingLabel(answer.ending)}
                    </span>
                ),
        },
        {
            title: 'Tag',
            width: 100,
            by: ({ answer }) => answer?.shown ?? '',
            // What is not the number's own name was put on the call on its way.
            cell: ({ number, answer }) => (answer && answer.shown !== number.name ? answer.shown : null),
        },
        {
            title: 'A call now',
            cell: ({ number, answer }) =>
                answer ? (
                    <>
                        {number.block?.extension && 'A free one: '}
                        {answer.sentence}{' '}
                        <Button size="small" type="link" onClick={() => change({ to: answer.number, zone: '' })}>
                            Try it
                        </Button>
                    </>
                ) : (
                    <span className="quiet">…</span>
                ),
        },
        ...(moment.in === 'draft' ? [changedColumn] : []),
    ];
}

/** What a call to each number meets at the moment of the bar. */
export function AllNumbersScreen() {
    const plan = usePlan();
    const { moment } = useMoment();
    const [chosen, setChosen] = useState<string[]>([]);
    const [wanted, setWanted] = useState('');
    const [ofSite, setOfSite] = useState<string | null>(null);
    const [ending, setEnding] = useState<NumberAnswer['ending'] | null>(null);
    const numbers = useMemo(() => plan?.all('number') ?? [], [plan]);
    const { answers, changes } = useNumberAnswers(numbers);
    const columns = useColumns(plan);
    if (!plan) return null;

    const { target, site, international } = namesIn(plan);
    const fits = ({ number, answer }: Line) =>
        (ofSite === null || number.site === ofSite) &&
        (ending === null || answer?.ending === ending) &&
        (wanted.trim() === '' ||
            isFound(
                `${number.name} ${number.number} ${international(number)} ${site(number)} ${target(number)?.name ?? ''} ${answer?.sentence ?? ''}`,
                wanted,
            ));
    const lines = numbers
        .map((number): Line => ({ number, answer: answers[number.id], changed: changes[number.id] }))
        .filter(fits);
    return (
        <div className="one">
            <section className="sheet" aria-label="All numbers now">
                <h1>All numbers now</h1>
                <p className="quiet">The call of the bar above, made to every number at its moment.</p>
                <div className="line-row wrap">
                    <Input
                        allowClear
                        style={{ width: 260 }}
                        aria-label="Search all numbers"
                        placeholder={`Search ${numbers.length}`}
                        value={wanted}
                        onChange={(event) => setWanted(event.target.value)}
                    />
                    <Select
                        allowClear
                        aria-label="Only of a site"
                        style={{ width: 170 }}
                        placeholder="of any site"
                        value={ofSite}
                        options={plan.all('site').map((one) => ({ value: one.id, label: one.name }))}
                        onChange={(next?: string) => setOfSite(next ?? null)}
                    />
                    <Select
                        allowClear
                        aria-label="Only those that end so"
                        style={{ width: 190 }}
                        placeholder="however they end"
                        value={ending}
                        options={ENDINGS.map((one) => ({ value: one, label: endingLabel(one) }))}
                        onChange={(next?: NumberAnswer['ending']) => setEnding(next ?? null)}
                    />
                </div>
                <NumberFiles />
                {moment.in === 'draft' && chosen.length > 0 && (
                    <ChangeMany ids={chosen} onClear={() => setChosen([])} />
                )}
                <LongTable
                    label="Numbers"
                    columns={columns}
                    rows={lines}
                    rowKey={({ number }) => number.id}
                    sortedBy="Ends"
                    choosing={
                        moment.in === 'draft'
                            ? { chosen, onChoose: setChosen, name: ({ number }) => number.name }
                            : undefined
                    }
                    empty={numbers.length === 0 ? 'There is no number yet.' : 'Nothing fits these words.'}
                />
            </section>
        </div>
    );
}

type Page = { answers: Record<string, NumberAnswer>; changes?: Record<string, LastChange> };

function combine(pages: { data?: Page | undefined }[]): {
    answers: Record<string, NumberAnswer>;
    changes: Record<string, LastChange>;
} {
    return {
        answers: Object.assign({}, ...pages.map((one) => one.data?.answers ?? {})),
        changes: Object.assign({}, ...pages.map((one) => one.data?.changes ?? {})),
    };
}

/** A block's last number, or that a number was given up. */
function Extent({ number }: { number: NumberElement }) {
    return (
        <>
            {number.block && (
                <div className="quiet figures">
                    to <PhoneNumberText number={number.block.last} />
                </div>
            )}
            {number.keptUntil && <div className="quiet">given up, kept until {dateWords(number.keptUntil)}</div>}
        </>
    );
}

function useNumberAnswers(numbers: NumberElement[]) {
    const { moment } = useMoment();
    const stamp = useCalm(usePlan()?.stamp, AFTER_THE_ANSWER);
    const live = useLiveStamp();
    const call = toTrialCall({ ...moment, to: moment.to || (numbers[0]?.number ?? '') });
    const pages = [];
    for (let i = 0; i < numbers.length; i += AT_ONCE) pages.push(numbers.slice(i, i + AT_ONCE).map((one) => one.id));
    return useQueries({
        queries: moment.at
            ? pages.map((ids) => ({
                  queryKey: ['number-answers', call, ids, stamp, live],
                  queryFn: () => ask(api.POST('/api/number-answers', { body: { call, numbers: ids } })),
                  placeholderData: <T,>(before: T) => before,
              }))
            : [],
        combine,
    });
}
