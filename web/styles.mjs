// The styles of what is used of Ant Design, as a file: made by each page for itself, they take a quarter of the time in which it is drawn.
// Colours and sizes are variables in them, which the theme sets.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);
const { extractStyle } = require('@ant-design/static-style-extract');
const { ConfigProvider } = require('antd');
const { createElement } = require('react');

const IMPORTED = /^import \{([^}]*)\} from 'antd';/gm;
const sources = readdirSync('src', { recursive: true }).filter((file) => file.endsWith('.tsx'));
const used = sources.flatMap((file) =>
    [...readFileSync(`src/${file}`, 'utf8').matchAll(IMPORTED)].flatMap(([, names]) => names.split(',').map((name) => name.trim().split(' ')[0])),
);
// What App and Table show besides, as they are asked to.
const includes = [...new Set([...used, 'message', 'Modal', 'notification', 'Pagination'])].sort();
// The variables of a theme that nobody has, a note of what the file holds, and how links look, which is for us to say.
const unused = /(\.css-var-|\.data-ant-|(?<=^|\})a\b)[^{}]*\{[^{}]*\}/g;
// No page of ours has another version beside it, which a hash in each selector would tell apart.
const customTheme = (all) => createElement(ConfigProvider, { theme: { hashed: false } }, all);
writeFileSync('src/antd.css', extractStyle({ includes, customTheme }).replace(unused, ''));
