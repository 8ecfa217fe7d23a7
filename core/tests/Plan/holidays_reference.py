"""Public holidays 2020-2035 by Debian's python3-holidays, as JSON: {calendar: {date: name}}."""
import json
import holidays

YEARS = range(2020, 2036)
# Hamburg keeps one day beyond the national nine, the fewest of the northern Laender.
CALENDARS = {
    "england-and-wales": holidays.England(years=YEARS),
    "scotland": holidays.Scotland(years=YEARS),
    "northern-ireland": holidays.NorthernIreland(years=YEARS),
    "ireland": holidays.Ireland(years=YEARS),
    "france": holidays.France(years=YEARS),
    "alsace-moselle": holidays.France(prov="Alsace-Moselle", years=YEARS),
    "germany": holidays.Germany(prov="HH", years=YEARS),
    "spain": holidays.Spain(years=YEARS),
    "netherlands": holidays.Netherlands(years=YEARS),
    "belgium": holidays.Belgium(years=YEARS),
    "usa": holidays.UnitedStates(years=YEARS),
    "canada": holidays.Canada(years=YEARS),
}
dates = {
    key: {day.isoformat(): name for day, name in found.items() if 2020 <= day.year < 2036}
    for key, found in CALENDARS.items()
}
print(json.dumps(dates))
