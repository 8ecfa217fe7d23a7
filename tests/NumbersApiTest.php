<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

/** Many numbers at once: changed alike as one edit, and as files. */
final class NumbersApiTest extends ApiTestCase
{
    public function testManyArePointedElsewhereAsOneEdit(): void
    {
        $before = [$this->element('num_lost')['target'], $this->element('num_groups')['target']];
        $change = $this->send('POST', '/api/plans/draft/numbers', [
            'ids' => ['num_lost', 'num_groups'],
            'change' => ['target' => 'jrn_reception', 'language' => 'fr'],
        ]);
        self::assertSame(['Point 2 numbers at Reception', 2], [$change['label'], $change['changed']]);
        self::assertSame(
            ['jrn_reception', 'fr'],
            [$this->element('num_lost')['target'], $this->element('num_groups')['language']],
        );
        $this->undo();
        self::assertSame($before, [$this->element('num_lost')['target'], $this->element('num_groups')['target']]);
        $this->send('POST', '/api/plans/draft/numbers', [
            'ids' => ['num_lost', 'num_none'],
            'change' => ['target' => 'jrn_reception'],
        ]);
        $this->assertStatus(422);
        $this->send('POST', '/api/plans/draft/numbers', ['ids' => ['num_lost'], 'change' => ['target' => 'hrs_lost']]);
        $this->assertStatus(422);
        $this->send('POST', '/api/plans/draft/numbers', [
            'ids' => ['num_lost'],
            'change' => ['number' => '+441632960999'],
        ]);
        $this->assertStatus(422);
        self::assertSame($before[0], $this->element('num_lost')['target']);
    }

    public function testABlockIsSeenNumberByNumber(): void
    {
        $numbers = array_column(
            $this->send('GET', '/api/plans/draft/numbers/num_direct/block')['numbers'],
            null,
            'number',
        );
        self::assertCount(100, $numbers);
        self::assertSame(
            [
                'number' => '+441632960201',
                'international' => '+44 1632 960201',
                'extension' => '201',
                'how' => 'person',
                'leads' => 'per_dana',
            ],
            $numbers['+441632960201'],
        );
        self::assertSame(
            ['exception', 'num_given_up'],
            [$numbers['+441632960240']['how'], $numbers['+441632960240']['leads']],
        );
        self::assertSame('free', $numbers['+441632960260']['how']);
        self::assertSame([], $this->send('GET', '/api/plans/draft/numbers/num_main/block')['numbers']);
        $this->send('GET', '/api/plans/draft/numbers/nobody/block');
        $this->assertStatus(404);
        self::assertSame(
            ['number' => '+441632960201', 'international' => '+44 1632 960201'],
            $this->send('GET', '/api/plans/draft/people/per_dana/own-number'),
        );
        self::assertNull($this->send('GET', '/api/plans/draft/people/per_camille/own-number')['number']);
        $this->send('GET', '/api/plans/draft/people/nobody/own-number');
        $this->assertStatus(404);
    }

    public function testBlocksThatMeetAreRefusedAtTheField(): void
    {
        $this->send('POST', '/api/plans/draft/elements', [
            'kind' => 'number',
            'name' => 'More direct lines',
            'number' => '+441632960295',
            'site' => 'sit_ternwick',
            'block' => ['last' => '+441632960299'],
        ]);
        $this->assertStatus(422);
        $problem = $this->send('POST', '/api/plans/draft/elements', [
            'kind' => 'number',
            'name' => 'More direct lines',
            'number' => '+441632960195',
            'site' => 'sit_ternwick',
            'block' => ['last' => '+441632960204'],
        ]);
        self::assertSame(
            ['/block/last', 'blocks-overlap'],
            [$problem['errors'][0]['pointer'], $problem['errors'][0]['code']],
        );
        self::assertSame(
            ['number' => '+4416329609*', 'international' => '+44 16329609 …', 'country' => 'GB'],
            $this->send('GET', '/api/phone-numbers?country=GB,FR&text=' . rawurlencode('01632 9609*')),
        );
    }

    public function testAnswersTellTheTagAndTheLastChange(): void
    {
        $this->change('num_lost', ['name' => 'Lost and found']);
        $answer = $this->send('POST', '/api/number-answers', [
            'call' => ['to' => '+441632960110', 'at' => '2026-11-23T10:30:00'],
            'numbers' => ['num_lost', 'num_groups'],
        ]);
        self::assertSame('Lost and found', $answer['answers']['num_lost']['shown']);
        self::assertSame(
            [$answer['changes']['num_groups']['who'], true],
            ['demo', $answer['changes']['num_lost']['at'] >= $answer['changes']['num_groups']['at']],
        );
        $this->undo();
        $after = $this->send('POST', '/api/number-answers', [
            'call' => ['to' => '+441632960110', 'at' => '2026-11-23T10:30:00', 'in' => 'live'],
            'numbers' => ['num_lost'],
        ]);
        self::assertArrayNotHasKey('changes', $after);
    }

    public function testATableComesInAndGoesOut(): void
    {
        $table = $this->send('GET', '/api/plans/draft/numbers.csv')['text'];
        self::assertStringStartsWith("number,last,extension,label,site,language,target\r\n", $table);
        self::assertStringContainsString(
            "'+441632960110,,,Bookings,\"Ternwick Harbour\",en,\"Bookings line\"\r\n",
            $table,
        );
        $rows = $this->send('POST', '/api/plans/draft/numbers/preview', ['text' => $table])['rows'];
        self::assertSame(
            ['unchanged'],
            array_values(array_unique(array_column($rows, 'outcome'))),
            'What came out comes in as it was.',
        );
        $text =
            "number,label,target\n01632 960180,Coaches,Coach line\n01632 960181,,Coach line\n(01632) 960 180,Twice,\n12,Short,\n01632 960110,Bookings by phone,Bookings line\n";
        $rows = $this->send('POST', '/api/plans/draft/numbers/preview', ['text' => $text])['rows'];
        self::assertSame(['refused', 'refused', 'refused', 'refused', 'changed'], array_column($rows, 'outcome'));
        self::assertSame(['target: Nothing has the name “Coach line”.'], $rows[0]['problems']);
        self::assertSame(['number: It stands in line 2 already.'], $rows[2]['problems']);
        $made = $this->send('POST', '/api/plans/draft/numbers/preview', ['text' => $text, 'makes' => true])['rows'];
        self::assertSame(
            [['added', 'Coach line'], ['added', null], ['refused', null], ['refused', null], ['changed', null]],
            array_map(static fn(array $row): array => [$row['outcome'], $row['makes']], $made),
        );
        $this->send('POST', '/api/plans/draft/numbers/import', ['text' => $text, 'makes' => true]);
        $this->assertStatus(422);
        $body = ['text' => $text, 'makes' => true, 'leaveOut' => true];
        // Without the rows that are left out, and the journey that is made.
        self::assertSame('Bring in 3 numbers', $this->send('POST', '/api/plans/draft/numbers/import', $body)['label']);
        $plan = $this->send('GET', '/api/plans/draft')['elements'];
        $of = static fn(string $name): array => array_values(
            array_filter($plan, static fn(array $one): bool => $one['name'] === $name),
        );
        self::assertSame(
            [$of('Coach line')[0]['id'], '+441632960180'],
            [$of('Coaches')[0]['target'], $of('Coaches')[0]['number']],
        );
        self::assertSame('+441632960110', $of('Bookings by phone')[0]['number']);
        $this->undo();
        self::assertSame('Bookings', $this->element('num_bookings')['name']);
    }

    /** One number in the writings of ten countries, by libphonenumber's own example numbers. */
    public function testNationalWritingsAreRead(): void
    {
        $util = \libphonenumber\PhoneNumberUtil::getInstance();
        foreach (['GB', 'FR', 'DE', 'ES', 'NL', 'BE', 'IT', 'PL', 'SE', 'IE'] as $country) {
            $this->send('POST', '/api/plans/draft/elements', [
                'kind' => 'site',
                'name' => 'Site ' . $country,
                'zone' => 'Europe/London',
                'country' => $country,
                'language' => 'en',
            ]);
            $example = $util->getExampleNumber($country);
            self::assertNotNull($example);
            $national = $util->format($example, \libphonenumber\PhoneNumberFormat::NATIONAL);
            $rows = $this->send('POST', '/api/plans/draft/numbers/preview', [
                'text' => "number,site\n$national,Site $country\n",
            ])['rows'];
            self::assertSame('added', $rows[0]['outcome'], "$country: $national");
            self::assertStringContainsString(
                $util->format($example, \libphonenumber\PhoneNumberFormat::INTERNATIONAL),
                $rows[0]['name'],
            );
        }
    }
}
