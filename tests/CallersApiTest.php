<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

/** Lists of callers as files, what they have in common, and who is found how by name. */
final class CallersApiTest extends ApiTestCase
{
    public function testAFileIsLookedAtAndBroughtIn(): void
    {
        $text = "number,name,label\n01632 960150,Marlow Haulage,Account\nnobody\n020*,London\n";
        $looked = $this->send('POST', '/api/caller-lines', ['text' => $text, 'country' => 'GB']);
        self::assertSame(
            [4, false, ['+441632960150', '+4420*'], [3]],
            [
                $looked['lines'],
                $looked['inBackground'],
                array_column($looked['entries'], 'match'),
                array_column($looked['problems'], 'line'),
            ],
        );
        $before = $this->element('clr_accounts');
        $refused = $this->send('POST', '/api/plans/draft/callers/clr_accounts', ['text' => $text, 'country' => 'GB']);
        $this->assertStatus(422);
        self::assertSame('Line 3: "nobody" tells no callers apart.', $refused['errors'][0]['detail']);
        self::assertSame($before, $this->element('clr_accounts'), 'Nothing is half-written.');
        $this->send('POST', '/api/plans/draft/callers/clr_accounts', [
            'text' => $text,
            'country' => 'GB',
            'leaveOut' => true,
        ]);
        self::assertStringContainsString(
            "+441632960150\tMarlow Haulage\tAccount\n",
            $this->element('clr_accounts')['entries'],
        );
        self::assertStringStartsWith($before['entries'][0], $this->element('clr_accounts')['entries']);
        $this->undo();
        self::assertSame($before, $this->element('clr_accounts'));
    }

    public function testALargeFileIsBroughtInInTheBackground(): void
    {
        $lines = array_map(static fn(int $i): string => '+44' . (1_600_000_000 + $i) . ",Caller $i", range(0, 2_999));
        $lines[7] = 'somebody';
        $job = $this->send('POST', '/api/plans/draft/callers/clr_accounts', [
            'text' => implode("\n", $lines),
            'country' => 'GB',
        ]);
        $this->assertStatus(202);
        $job = $this->send('GET', '/api/jobs/' . $job['id']);
        self::assertSame(
            ['failed', 'Line 8: "somebody" tells no callers apart.'],
            [$job['state'], $job['problems'][0]['detail']],
        );
        $job = $this->send('POST', '/api/plans/draft/callers/clr_accounts', [
            'text' => implode("\n", $lines),
            'country' => 'GB',
            'leaveOut' => true,
        ]);
        self::assertSame('done', $this->send('GET', '/api/jobs/' . $job['id'])['state']);
        $trial = $this->send('POST', '/api/trial-calls', [
            'to' => '+441632960100',
            'from' => '+441600002999',
            'at' => '2026-11-23T10:30',
        ]);
        self::assertStringContainsString('Is one of Account customers', $trial['sentence']);
    }

    public function testFilesComeOut(): void
    {
        self::assertStringStartsWith(
            "number,name,label\r\n",
            $this->send('GET', '/api/plans/draft/callers/clr_accounts.csv')['text'],
        );
        self::assertStringStartsWith(
            "BEGIN:VCARD\r\nVERSION:4.0\r\n",
            $this->send('GET', '/api/plans/live/callers/clr_accounts.vcf')['text'],
        );
        $this->send('GET', '/api/plans/draft/callers/clr_none.csv');
        $this->assertStatus(404);
    }

    public function testWhoElseMatches(): void
    {
        $others = $this->send('GET', '/api/plans/draft/callers/clr_accounts/others?from=%2B33261910777');
        self::assertSame(['clr_accounts', 'clr_france'], array_column($others['matches'], 'list'));
        self::assertSame(
            [['list' => 'clr_france', 'count' => 1, 'examples' => [['here' => '+3326191*', 'there' => '+3326191*']]]],
            $others['overlaps'],
        );
        $this->change('clr_france', ['entries' => 'FR']);
        self::assertSame(
            [],
            $this->send('GET', '/api/plans/draft/callers/clr_accounts/others')['overlaps'],
            'A beginning is no number of which the country is looked up.',
        );
        $this->change('clr_france', ['entries' => '+332619100*']);
        self::assertSame(
            [['list' => 'clr_france', 'count' => 1, 'examples' => [['here' => '+3326191*', 'there' => '+332619100*']]]],
            $this->send('GET', '/api/plans/draft/callers/clr_accounts/others')['overlaps'],
        );
        $this->send('GET', '/api/plans/draft/callers/clr_accounts/others?from=somebody');
        $this->assertStatus(422);
    }

    public function testWhoIsFoundHowByName(): void
    {
        $step = ['id' => 's1', 'do' => 'directory', 'prompt' => null, 'part' => 'last', 'letters' => 3, 'most' => 3];
        $look = $this->send('POST', '/api/directories', ['step' => $step, 'find' => 'whitlock']);
        self::assertSame(
            [['per_dana', '94485625']],
            array_map(static fn(array $row): array => [$row['person'], $row['keys']], $look['rows']),
        );
        self::assertSame(1, $look['found']);
        self::assertGreaterThan(10, $look['people']);
        $this->change('per_dana', ['listing' => ['on' => false, 'reason' => 'On the quay']]);
        $without = $this->send('POST', '/api/directories', ['step' => $step]);
        self::assertSame($look['people'] - 1, $without['people']);
        self::assertContains(['person' => 'per_dana', 'reason' => 'On the quay'], $without['notListed']);
        $this->send('POST', '/api/directories', ['step' => ['letters' => 1] + $step]);
        $this->assertStatus(422);
    }

    /** Somebody is found by the draft's own index, and again after the name has changed. */
    public function testANameIsSpelledInATrialCall(): void
    {
        $this->change('jrn_lost', [
            'steps' => [
                ['id' => 'it', 'do' => 'directory', 'prompt' => 'prm_lost_open', 'tries' => 1, 'exits' => []],
                ['id' => 'over', 'do' => 'end'],
            ],
        ]);
        $number = array_values(
            array_filter(
                $this->send('GET', '/api/plans/draft')['elements'],
                static fn(array $one): bool => 'jrn_lost' === ($one['target'] ?? null),
            ),
        )[0]['number'];
        $say = fn(string $keys): string => $this->send('POST', '/api/trial-calls', [
            'to' => $number,
            'at' => '2026-11-23T10:30',
            'assume' => ['keys' => [$keys]],
        ])['sentence'];
        self::assertStringStartsWith('Presses 94 for Dana Whitlock, rings Dana Whitlock', $say('94485625'));
        $this->change('per_dana', ['name' => 'Dana Quill']);
        self::assertStringContainsString('nobody is found', $say('94485625'));
        self::assertStringStartsWith('Presses 78 for Dana Quill', $say('78455'));
    }
}
