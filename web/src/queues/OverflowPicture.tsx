import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import type { Stay } from '../api/types';
import { useMoment } from '../moment/useMoment';
import { KINDS } from '../plan/kinds';
import { usePlan } from '../plan/usePlan';
import { type Arrow, arrowWords, type Box, ENDS, layOut, span } from './overflow';
import styles from './queues.module.css';

const BOX = { width: 168, height: 38 };
const GAP = { x: 92, y: 48 };

/** Where calls flow that nobody takes, from one queue on or from all: whatever the time, with callers who do nothing. */
export function OverflowPicture({ queue }: { queue?: string }) {
    const { moment } = useMoment();
    const plan = usePlan();
    const { data, isPending } = useQuery({
        queryKey: ['overflow', moment.in, queue, plan?.stamp],
        queryFn: () =>
            ask(
                api.GET('/api/plans/{which}/overflow', {
                    params: { path: { which: moment.in }, query: queue ? { queue } : {} },
                }),
            ),
        placeholderData: (before, query) => (query?.queryKey[2] === queue ? before : undefined),
    });
    if (isPending || !data) return null;
    if (data.stays.length === 0) return <p className="quiet">No call comes to {queue ? 'this' : 'a'} queue.</p>;
    return (
        <div className={styles.flows}>
            {groups(data.stays).map((stays) => (
                <Flowing key={stays[0]?.key} stays={stays} />
            ))}
        </div>
    );
}

const journeyName = (stay: Stay, name: string | undefined) =>
    stay.journey === stay.by ? 'straight from a number or a person' : `in ${name ?? stay.journey}`;

function longestWords({ longest, comesBack }: Stay): string {
    if (comesBack) return 'calls come back here, and may go round for ever.';
    if (longest === null) return 'calls may go round for ever.';
    return `over after ${span(longest)} at most.`;
}

/** Those that lead to one another, apart from those that do not. */
function groups(stays: Stay[]): Stay[][] {
    const byKey = new Map(stays.map((one) => [one.key, one]));
    const groupOf = new Map<string, Stay[]>();
    for (const start of stays.filter((one) => one.start)) {
        if (groupOf.has(start.key)) continue;
        const group: Stay[] = [];
        const reach = [start];
        for (let stay = reach.shift(); stay; stay = reach.shift()) {
            if (groupOf.has(stay.key)) continue;
            groupOf.set(stay.key, group);
            group.push(stay);
            for (const { to } of stay.flows) {
                const next = to ? byKey.get(to) : undefined;
                if (next) reach.push(next);
            }
        }
    }
    return [...new Set(groupOf.values())];
}

function Flowing({ stays }: { stays: Stay[] }) {
    const { search } = useMoment();
    const plan = usePlan();
    const { boxes, arrows } = layOut(stays);
    const at = new Map(boxes.map((box) => [box.id, corner(box)]));
    const width = Math.max(...boxes.map((box) => corner(box).x + BOX.width)) + 90;
    const height = Math.max(...boxes.map((box) => corner(box).y + BOX.height)) + 8;
    const names = new Map(boxes.map((box) => [box.id, box.name]));
    return (
        <figure className={styles.overflow}>
            <figcaption>
                {stays
                    .filter((one) => one.start)
                    .map((stay) => (
                        <div key={stay.key}>
                            <b>{stay.name}</b> {journeyName(stay, plan?.find(stay.journey)?.name)}: {longestWords(stay)}
                        </div>
                    ))}
            </figcaption>
            <svg
                viewBox={`-4 -4 ${width} ${height + 4}`}
                width={width}
                height={height}
                role="group"
                aria-label="Overflow"
            >
                <defs>
                    <marker
                        id="flows"
                        viewBox="0 0 8 8"
                        refX="7"
                        refY="4"
                        markerWidth="7"
                        markerHeight="7"
                        orient="auto"
                    >
                        <path d="M0 0L8 4L0 8z" fill="context-stroke" />
                    </marker>
                </defs>
                {arrows.map((arrow) => (
                    <ArrowLine key={`${arrow.from} ${arrow.to}`} arrow={arrow} arrows={arrows} at={at} />
                ))}
                {boxes.map((box) => (
                    <BoxShape
                        key={box.id}
                        box={box}
                        stay={stays.find((one) => one.key === box.id || one.by === box.id)}
                        search={search}
                    />
                ))}
            </svg>
            <ol className="hidden">
                {arrows.map((arrow) => (
                    <li key={`${arrow.from} ${arrow.to}`}>
                        {names.get(arrow.from)} to {names.get(arrow.to)} {arrowWords(arrow)}
                        {arrow.back && ': calls come back'}
                    </li>
                ))}
            </ol>
        </figure>
    );
}

const corner = ({ row, place }: Box) => ({ x: place * (BOX.width + GAP.x), y: row * (BOX.height + GAP.y) });

function BoxShape({ box, stay, search }: { box: Box; stay: Stay | undefined; search: string }) {
    const { x, y } = corner(box);
    const kind = stay?.kind as keyof typeof KINDS | null | undefined;
    const words = (
        <>
            <rect x={x} y={y} width={BOX.width} height={BOX.height} rx={box.kind === 'queue' ? 19 : 5} />
            <text x={x + BOX.width / 2} y={y + 17} textAnchor="middle">
                {box.name.length > 23 ? `${box.name.slice(0, 22)}…` : box.name}
            </text>
            <text x={x + BOX.width / 2} y={y + 31} textAnchor="middle" className={styles.kind}>
                {box.id === ENDS ? 'nobody has it' : kind ? KINDS[kind].one : 'number outside'}
            </text>
        </>
    );
    return (
        <g className={`${styles.box} ${box.start ? styles.start : ''} ${box.id === ENDS ? styles.ends : ''}`}>
            {stay && kind ? <Link to={{ pathname: `/${KINDS[kind].path}/${stay.by}`, search }}>{words}</Link> : words}
        </g>
    );
}

function ArrowLine({
    arrow,
    arrows,
    at,
}: {
    arrow: Arrow;
    arrows: Arrow[];
    at: Map<string, { x: number; y: number }>;
}) {
    const [from, to] = [at.get(arrow.from), at.get(arrow.to)];
    if (!from || !to) return null;
    const into = arrows.filter((one) => one.to === arrow.to);
    const turn = into.indexOf(arrow);
    const spread = (turn - (into.length - 1) / 2) * 26;
    const [x1, y1] = [from.x + BOX.width / 2 + spread / 2, from.y + BOX.height];
    const [x2, y2] = [to.x + BOX.width / 2 + spread, to.y];
    const isLong = to.y - from.y > BOX.height + GAP.y + 1;
    const side = from.x + BOX.width;
    const path = arrow.back
        ? `M${from.x} ${from.y + BOX.height / 2}C${from.x - 40} ${from.y},${to.x - 40} ${to.y + BOX.height},${to.x} ${to.y + BOX.height / 2}`
        : isLong
          ? `M${side} ${from.y + BOX.height / 2}C${side + 70} ${from.y + BOX.height},${Math.max(side, x2) + 70} ${y2 - 20},${x2 + 30} ${y2}`
          : `M${x1} ${y1}C${x1} ${y1 + 24},${x2} ${y2 - 24},${x2} ${y2 - 1}`;
    const words = arrow.seconds === 0 ? 'at once' : `≤ ${span(arrow.seconds)}`;
    const label = isLong
        ? { x: side + 12, y: from.y + BOX.height / 2 + 3 }
        : { x: x2 + 7 + (into.length > 1 ? 20 : 0), y: y2 - 8 };
    return (
        <g className={`${styles.arrow} ${arrow.back ? styles.back : ''}`}>
            <title>{arrowWords(arrow)}</title>
            <path d={path} markerEnd="url(#flows)" />
            <text x={label.x} y={label.y}>
                {arrow.back ? `comes back, ${words}` : words}
            </text>
        </g>
    );
}
