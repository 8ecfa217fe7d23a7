// Public holidays 2020-2035 by npm's date-holidays, as JSON: {calendar: {date: name}}.
const Holidays = require('../../../web/node_modules/date-holidays');

const REGIONS = {
    'england-and-wales': ['GB', 'ENG'],
    scotland: ['GB', 'SCT'],
    'northern-ireland': ['GB', 'NIR'],
    ireland: ['IE'],
    france: ['FR'],
    'alsace-moselle': ['FR', '67'],
    germany: ['DE'],
    spain: ['ES'],
    netherlands: ['NL'],
    belgium: ['BE'],
    usa: ['US'],
    canada: ['CA'],
};
const dates = {};
for (const [key, region] of Object.entries(REGIONS)) {
    const calendar = new Holidays(...region);
    dates[key] = {};
    for (let year = 2020; year < 2036; year++) {
        for (const holiday of calendar.getHolidays(year)) {
            if (holiday.type === 'public' || holiday.type === 'bank') dates[key][holiday.date.slice(0, 10)] = holiday.name;
        }
    }
}
console.log(JSON.stringify(dates));
