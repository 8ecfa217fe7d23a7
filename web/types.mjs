// Types of the API from docs/openapi.yaml. The published schema says what a plan may look like; what we answer is written
// in full, every field of it, so that the types are made from a copy that says so.
import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';

const work = '../var/types';
const schema = JSON.parse(readFileSync('../core/schema/plan.schema.json', 'utf8'));

/** Fields that stand in some elements of a kind only. */
const sometimes = { queueWaiting: ['music'], phone: ['number', 'ownMailbox', 'mailboxWhenBusy', 'setUp', 'digits', 'shows'] };

function inFull(node, name) {
    if (Array.isArray(node)) return node.map((one) => inFull(one));
    if (node === null || typeof node !== 'object') return node;
    const full = Object.fromEntries(Object.entries(node).map(([key, value]) => [key, inFull(value, key)]));
    if (full.properties !== undefined && full.additionalProperties === false) {
        const optional = ['why', ...(sometimes[name] ?? [])];
        full.required = Object.keys(full.properties).filter((key) => !optional.includes(key));
        for (const condition of ['if', 'then', 'else', 'anyOf']) delete full[condition];
        // Written as an object even where null is taken, unless null says something.
        if (Array.isArray(full.type) && !['substitute', 'part', 'queueCallback', 'menuDialling', 'numberBlock', 'awayGreeting'].includes(name)) full.type = 'object';
    }
    return full;
}

const written = inFull(schema);
// Exits are handled alike, whatever their step.
for (const name of Object.keys(written.$defs)) if (name.endsWith('Exits')) written.$defs[name] = written.$defs.exits;
// Only earlier plans have a list.
written.$defs.callerEntries = written.$defs.callerEntries.anyOf[0];
written.$defs.team.properties.members.items = { $ref: '#/$defs/teamMember' };
mkdirSync(`${work}/docs`, { recursive: true });
mkdirSync(`${work}/core/schema`, { recursive: true });
writeFileSync(`${work}/docs/openapi.yaml`, readFileSync('../docs/openapi.yaml'));
writeFileSync(`${work}/core/schema/plan.schema.json`, JSON.stringify(written));
execFileSync('node_modules/.bin/openapi-typescript', [`${work}/docs/openapi.yaml`, '-o', 'src/api/schema.d.ts'], {
    stdio: ['ignore', 'ignore', 'inherit'],
});

// Limits of numbers and what stands there unasked, by definition and field: { min, max }, from the same schema.
// What stands in a list is named after it ("answeringRule.stages"), one of several shapes after what tells it ("holidayRule.easter").
const limits = {};
function gather(name, node) {
    for (const [field, part] of Object.entries(node.properties ?? {})) {
        const { minimum, maximum, default: usual, items } = part;
        if (items?.properties) gather(`${name}.${field}`, items);
        if (minimum === undefined && maximum === undefined) continue;
        limits[name] ??= {};
        limits[name][field] = { min: minimum, max: maximum, ...(usual === undefined ? {} : { usual }) };
    }
    for (const shape of node.oneOf ?? []) {
        const which = shape.properties?.on?.const;
        if (which) gather(`${name}.${which}`, shape);
    }
}
for (const [name, node] of Object.entries(schema.$defs)) gather(name, node);
writeFileSync(
    'src/api/limits.ts',
    `// Made by types.mjs from core/schema/plan.schema.json.\nexport const LIMITS = ${JSON.stringify(limits, null, 4)} as const;\n`,
);
