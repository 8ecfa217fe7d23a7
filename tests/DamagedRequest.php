<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Symfony\Component\Yaml\Yaml;

/** A request made from the OpenAPI document and what is in the plan, with something in it that may be wrong. */
final readonly class DamagedRequest
{
    private const JUNK = [
        '',
        ' ',
        'x',
        '0',
        '-1',
        '1e309',
        "tab\there",
        "bell\u{7}",
        "nul\u{0}",
        "\u{202E}right to left",
        '💥',
        "e\u{301}\u{301}\u{301}",
        '../../etc/passwd',
        "'; DROP TABLE edit; --",
        '<script>alert(1)</script>',
        '{{7*7}}',
        '%00',
        '+441632960110',
        '+0',
        '2026-02-30T25:61',
        '9999-12-31T23:59:59',
        '24:00',
        'per_dana',
        'hrs_bookings',
        'draft',
        'live',
        '1',
        '*',
        '__proto__',
        'toString',
    ];

    /** @param array<string, string> $headers */
    private function __construct(
        public string $method,
        public string $path,
        public ?string $body,
        public array $headers,
    ) {}

    /**
     * @param list<array<string, mixed>> $elements  of the plan
     * @param int                        $revision  of the draft
     * @param array<string, int>         $revisions
     */
    public static function random(array $elements, int $revision, array $revisions): self
    {
        static $document = null;
        $document ??= Yaml::parseFile(__DIR__ . '/../docs/openapi.yaml');
        $template =
            0 === mt_rand(0, 2)
                ? ['/api/plans/draft/elements', '/api/plans/draft/elements/{id}', '/api/plans/draft/people'][
                    mt_rand(0, 2)
                ]
                : (string) array_rand($document['paths']);
        $operations = array_intersect_key($document['paths'][$template], [
            'get' => 1,
            'post' => 1,
            'put' => 1,
            'delete' => 1,
        ]);
        $writes = array_diff_key($operations, ['get' => 1]);
        $method = (string) array_rand([] === $writes || 0 === mt_rand(0, 3) ? $operations : $writes);
        $schema = $operations[$method]['requestBody'] ?? null;
        $element =
            [] === $elements
                ? [
                    'id' => 'sit_new',
                    'kind' => 'site',
                    'name' => 'New',
                    'zone' => 'Europe/London',
                    'country' => 'GB',
                    'language' => 'en',
                ]
                : $elements[array_rand($elements)];
        $parameters = [
            ...$document['paths'][$template]['parameters'] ?? [],
            ...$operations[$method]['parameters'] ?? [],
        ];
        $path = (string) preg_replace_callback(
            '/\{([a-z]+)\}/',
            static fn(array $name): string => rawurlencode(self::part($name[1], $element['id'])),
            $template,
        );
        $query = [];
        foreach ($parameters as $parameter) {
            $parameter = isset($parameter['$ref']) ? self::resolve($document, $parameter['$ref']) : $parameter;
            if ('query' === $parameter['in'] && 0 !== mt_rand(0, 5)) {
                $query[$parameter['name']] = self::part($parameter['name'], $element['id']);
            }
        }
        if (0 === mt_rand(0, 20)) {
            $query[self::junk()] = [self::junk()];
        }
        $body = null;
        if (null !== $schema || 0 === mt_rand(0, 20)) {
            $body = self::body($document, $template, $schema, $element, $elements);
        }
        $headers = ['CONTENT_TYPE' => 0 === mt_rand(0, 40) ? self::junk() : 'application/json'];
        if ('get' !== $method && 0 !== mt_rand(0, 20)) {
            $headers['HTTP_IF_MATCH'] =
                0 === mt_rand(0, 20)
                    ? self::junk()
                    : '"' . (str_contains($template, 'elements') ? $revisions[$element['id']] ?? 1 : $revision) . '"';
        }
        if (0 === mt_rand(0, 5)) {
            $headers['HTTP_IDEMPOTENCY_KEY'] = 0 === mt_rand(0, 3) ? self::junk() : '"' . mt_rand(0, 200) . '"';
        }

        return new self(
            strtoupper($method),
            $path . ([] === $query ? '' : '?' . http_build_query($query)),
            $body,
            $headers,
        );
    }

    public function with(?string $body): self
    {
        return new self($this->method, $this->path, $body, $this->headers);
    }

    public function __toString(): string
    {
        return \sprintf(
            '%s %s %s %s',
            $this->method,
            $this->path,
            json_encode($this->headers, \JSON_INVALID_UTF8_SUBSTITUTE),
            $this->body,
        );
    }

    private static function part(string $name, string $id): string
    {
        if (0 === mt_rand(0, 6)) {
            return self::junk();
        }

        return match ($name) {
            'which' => ['draft', 'draft', 'live', '1', '2'][mt_rand(0, 4)],
            'number' => (string) mt_rand(1, 3),
            'direction' => ['next', 'previous'][mt_rand(0, 1)],
            'at' => [
                '2026-11-23T10:30',
                '2026-12-25T00:00:00',
                '2027-03-28T01:30',
                '1990-01-01T00:00',
                '2199-12-31T23:59',
            ][mt_rand(0, 4)],
            'from' => '2026-01-01',
            'zone' => ['Europe/London', 'Europe/Paris', 'Pacific/Apia'][mt_rand(0, 2)],
            'year' => (string) mt_rand(1960, 2210),
            'most', 'before' => (string) mt_rand(0, 120),
            'edit' => (string) mt_rand(1, 50),
            'country' => ['GB', 'FR', 'ZZ', 'XX'][mt_rand(0, 3)],
            'text' => ['07700 900123', '+33 1 99 00 12 34', '999', 'abc'][mt_rand(0, 3)],
            'format' => ['csv', 'vcf'][mt_rand(0, 1)],
            default => $id,
        };
    }

    /**
     * @param array<string, mixed>       $document
     * @param array<string, mixed>|null  $schema
     * @param array<string, mixed>       $element
     * @param list<array<string, mixed>> $elements
     */
    private static function body(
        array $document,
        string $template,
        ?array $schema,
        array $element,
        array $elements,
    ): string {
        $schema = isset($schema['$ref']) ? self::resolve($document, $schema['$ref']) : $schema;
        $data = match (true) {
            '/api/plans/draft/file' === $template => ['meandros' => 1, 'name' => 'Damaged', 'elements' => $elements],
            '/api/plans/draft/elements' === $template => array_diff_key($element, ['id' => 1]),
            str_starts_with($template, '/api/plans/draft/elements/') => $element,
            str_contains($template, '/people') && !str_contains($template, '{') => [
                'text' => self::people(),
                'leaveOut' => 0 === mt_rand(0, 1),
            ],
            str_contains($template, '/import') => [
                'ics' => self::calendar(),
                str_contains($template, 'hours') ? 'state' : 'zone' => str_contains($template, 'hours')
                    ? 'closed'
                    : 'Europe/London',
            ],
            str_contains($template, '/trial-calls') => self::call($elements),
            '/api/ring-previews' === $template => [
                'call' => self::call($elements),
                'step' => ['id' => 's1', 'do' => 'ring', 'target' => $element['id'], 'seconds' => 20],
                'element' => $element,
            ],
            default => self::sample($document, $schema['content']['application/json']['schema'] ?? [], 0),
        };
        for ($i = max(0, mt_rand(-1, 3)); $i > 0; --$i) {
            $data = self::damage($data);
        }
        $json = (string) json_encode(
            $data,
            \JSON_PRESERVE_ZERO_FRACTION | \JSON_PARTIAL_OUTPUT_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE,
        );
        $json = (string) preg_replace('/"(scripts|when|next|greetings|years|assume)":\[\]/', '"$1":{}', $json);

        return match (mt_rand(0, 60)) {
            0 => substr($json, 0, mt_rand(0, \strlen($json))),
            1 => str_replace('"', "\xC3", $json),
            2 => str_repeat('[', 200),
            3 => '1e400',
            default => $json,
        };
    }

    /**
     * @param list<array<string, mixed>> $elements
     *
     * @return array<string, mixed>
     */
    private static function call(array $elements): array
    {
        $to = array_values(
            array_filter(
                array_map(static fn(array $one): ?string => $one['number'] ?? ($one['extension'] ?? null), $elements),
            ),
        );

        return [
            'to' => [] === $to ? '200' : $to[array_rand($to)],
            'from' => ['', '07700 900123', '201', '+33199001234'][mt_rand(0, 3)],
            'at' => self::part('at', ''),
            'in' => ['draft', 'live', '1'][mt_rand(0, 2)],
            'assume' => [
                'keys' => ['1'],
                'phones' => [['who' => '*', 'does' => 'answers', 'after' => 5]],
                'patience' => 60,
                'withoutOverrides' => true,
                'earlier' => [
                    'last' => [['team' => 'team_port', 'who' => 'per_dana']],
                    'members' => [['who' => 'per_dana', 'idle' => 5, 'calls' => 2]],
                    'seed' => 4,
                ],
                'statuses' => [['who' => 'per_dana', 'status' => 'away']],
                'lines' => [],
            ],
        ];
    }

    private static function people(): string
    {
        $cell = static fn(): string => [
            '',
            'Ann Odd',
            self::junk(),
            '2' . mt_rand(10, 99),
            '07700 9001' . mt_rand(10, 99),
            'Desk; Soft',
            '"a,b"',
            '"',
            str_repeat('y', mt_rand(0, 300)),
        ][mt_rand(0, 8)];
        if (0 === mt_rand(0, 2)) {
            return "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:" .
                $cell() .
                "\r\nTEL:" .
                $cell() .
                "\r\nX-MEANDROS-EXTENSION:" .
                $cell() .
                "\r\nX-MEANDROS-PHONE:desk:" .
                $cell() .
                "\r\nEND:VCARD\r\n";
        }

        return "name,extension,desk,outside\n" .
            implode(
                "\n",
                array_map(
                    static fn(): string => implode(',', [$cell(), $cell(), $cell(), $cell()]),
                    range(1, mt_rand(1, 4)),
                ),
            );
    }

    private static function calendar(): string
    {
        $line = static fn(): string => [
            'DTSTART;VALUE=DATE:20261225',
            'DTSTART:20261225T090000Z',
            'DTSTART;TZID=Europe/Paris:20261225T090000',
            'DTEND:20261225T100000',
            'DURATION:P1D',
            'DURATION:PT' . self::junk(),
            'RRULE:FREQ=' .
            ['YEARLY', 'DAILY', 'HOURLY', 'SECONDLY', self::junk()][mt_rand(0, 4)] .
            ';INTERVAL=' .
            mt_rand(0, 3) .
            ';BYMONTHDAY=' .
            mt_rand(-40, 40) .
            ';BYDAY=MO',
            'RDATE:20270101T000000',
            'EXDATE:' . self::junk(),
            'SUMMARY:' . self::junk(),
            'X-MEANDROS-HOLIDAY:{"id":"x"}',
            'RECURRENCE-ID:20261225T090000',
            self::junk(),
        ][mt_rand(0, 12)];

        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20261224\r\n" .
            implode("\r\n", array_map($line, range(1, mt_rand(1, 5)))) .
            "\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
    }

    /**
     * @param array<string, mixed> $document
     *
     * @return array<string, mixed>
     */
    private static function resolve(array $document, string $ref): array
    {
        if (!str_starts_with($ref, '#/')) {
            return [];
        }
        foreach (explode('/', substr($ref, 2)) as $name) {
            $document = $document[$name];
        }

        return $document;
    }

    /**
     * @param array<string, mixed> $document
     * @param array<string, mixed> $schema
     */
    private static function sample(array $document, array $schema, int $depth): mixed
    {
        if (isset($schema['$ref'])) {
            $schema = self::resolve($document, $schema['$ref']);
        }
        $type = \is_array($schema['type'] ?? null)
            ? $schema['type'][array_rand($schema['type'])]
            : $schema['type'] ?? null;

        return match (true) {
            isset($schema['enum']) => $schema['enum'][array_rand($schema['enum'])],
            isset($schema['oneOf']) => self::sample(
                $document,
                $schema['oneOf'][array_rand($schema['oneOf'])],
                $depth + 1,
            ),
            'object' === $type && $depth < 6 => array_map(
                static fn(array $one): mixed => self::sample($document, $one, $depth + 1),
                $schema['properties'] ?? [],
            ),
            'array' === $type && $depth < 6 => [self::sample($document, $schema['items'] ?? [], $depth + 1)],
            'integer' === $type => mt_rand(0, 60),
            'boolean' === $type => 0 === mt_rand(0, 1),
            'null' === $type => null,
            default => [
                'per_dana',
                'hrs_bookings',
                'closed',
                'storm',
                'lifted',
                'at',
                '2027-01-01T10:00',
                'mo-fr 9-17',
                self::junk(),
            ][mt_rand(0, 8)],
        };
    }

    private static function damage(mixed $data): mixed
    {
        if (!\is_array($data) || [] === $data || 0 === mt_rand(0, 30)) {
            return match (mt_rand(0, 9)) {
                0 => null,
                1 => true,
                2 => mt_rand(-5, 5),
                3 => [\PHP_INT_MAX, \PHP_INT_MIN, 0.5, 1e300][mt_rand(0, 3)],
                4 => [],
                5 => ['a' => ['b' => ['c' => []]]],
                6 => [$data, $data],
                7 => \is_string($data) ? str_repeat($data . 'x', 100) : 'x',
                default => self::junk(),
            };
        }
        $key = array_rand($data);
        switch (mt_rand(0, 9)) {
            case 0:
                unset($data[$key]);

                return $data;
            case 1:
                return $data + [self::junk() => self::junk()];
            case 2:
                return array_is_list($data) ? [...$data, ...array_fill(0, mt_rand(1, 300), $data[$key])] : $data;
            default:
                $data[$key] = self::damage($data[$key]);

                return $data;
        }
    }

    private static function junk(): string
    {
        return self::JUNK[mt_rand(0, \count(self::JUNK) - 1)];
    }
}
