<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

/** What was promised of calls, held against what becomes of them. */
final class ExpectationApiTest extends ApiTestCase
{
    private const PROMISE = [
        'kind' => 'expectation',
        'name' => 'Berths by day',
        'calls' => ['to' => ['num_exception_berths'], 'from' => [], 'keys' => null],
        'when' => ['hours' => 'hrs_reception', 'states' => [], 'calendar' => null, 'windows' => []],
        'promise' => ['that' => 'rings', 'who' => null, 'within' => 30],
    ];

    public function testAPromiseIsHeldAsOneEdits(): void
    {
        $added = $this->send('POST', '/api/plans/draft/elements', self::PROMISE);
        $this->assertStatus(201);
        $id = (string) array_key_first($added['elements']);
        self::assertStringStartsWith('exp_', $id);
        $kept = $this->send('GET', "/api/plans/draft/expectations/$id");
        $this->assertStatus(200);
        self::assertSame(
            ['kept', [], true, 0],
            [$kept['state'], $kept['breaches'], $kept['isComplete'], $kept['left']],
        );
        self::assertSame(
            [
                'calls' => 'Calls to Berth telephones',
                'when' => 'while Reception hours are open',
                'promise' => 'ring somebody within 30 s',
            ],
            $kept['sentence'],
        );

        $this->change('num_exception_berths', ['target' => 'mbx_reception']);
        $broken = $this->send('GET', "/api/plans/draft/expectations/$id");
        self::assertSame('broken', $broken['state']);
        [$breach] = $broken['breaches'];
        self::assertSame(['num_exception_berths'], array_column($breach['numbers'], 'id'));
        self::assertSame('a message with Reception mailbox', $breach['what']);
        self::assertStringContainsString('Mon–Fri 08:30–17:30', $breach['when']);
        self::assertGreaterThan(250, $breach['count']);
        [$since] = $breach['intervals'][1];
        self::assertSame(
            'message',
            $this->send('POST', '/api/trial-calls', [
                'to' => $breach['numbers'][0]['number'],
                'from' => $breach['caller'],
                'at' => $since,
            ])['ending']['kind'],
        );
        $all = $this->send('GET', '/api/plans/draft/expectations')['expectations'];
        self::assertContains($id, array_column($all, 'id'));
        $this->send('GET', '/api/plans/draft/expectations/hrs_reception');
        $this->assertStatus(404);
    }

    public function testInTheBackgroundItIsHeldWhateverPhonesDo(): void
    {
        $journey = [
            'kind' => 'journey',
            'name' => 'Lost when busy',
            'steps' => [
                [
                    'id' => 's1',
                    'do' => 'ring',
                    'target' => 'per_reception',
                    'seconds' => 20,
                    'exits' => [['on' => 'busy', 'steps' => [['id' => 's2', 'do' => 'end']]]],
                ],
                ['id' => 's3', 'do' => 'message', 'mailbox' => 'mbx_reception'],
            ],
        ];
        $added = $this->send('POST', '/api/plans/draft/elements', $journey);
        $this->assertStatus(201);
        $this->change('num_exception_berths', ['target' => (string) array_key_first($added['elements'])]);
        $promise = ['that' => 'ends with', 'outcomes' => ['person', 'message']];
        $added = $this->send(
            'POST',
            '/api/plans/draft/elements',
            ['when' => null, 'promise' => $promise] + self::PROMISE,
        );
        $id = (string) array_key_first($added['elements']);
        $quick = $this->send('GET', "/api/plans/draft/expectations/$id");
        self::assertSame(['kept', 'ring on'], [$quick['state'], $quick['phones']]);

        $job = $this->send('POST', '/api/plans/draft/expectations/in-full');
        $this->assertStatus(202);
        $job = $this->send('GET', '/api/jobs/' . $job['id']);
        self::assertSame(['expectations', 'done'], [$job['kind'], $job['state']]);
        $held = array_column($job['result']['expectations'], null, 'id');
        self::assertSame(['broken', 'whatever they do'], [$held[$id]['state'], $held[$id]['phones']]);
        self::assertSame(['busy'], array_column($held[$id]['breaches'], 'phones'));
        self::assertSame('no matter', $held['exp_accounts']['phones']);
        $this->send('POST', '/api/plans/99/expectations/in-full');
        $this->assertStatus(404);
    }

    public function testAnAnswerBecomesAnExpectation(): void
    {
        $suggested = $this->send('POST', '/api/expected', ['to' => self::BOOKINGS, 'at' => '2026-11-23T10:30']);
        $this->assertStatus(200);
        $added = $this->send('POST', '/api/plans/draft/elements', $suggested);
        $this->assertStatus(201);
        $id = (string) array_key_first($added['elements']);
        $held = $this->send('GET', "/api/plans/draft/expectations/$id");
        self::assertSame('kept', $held['state']);
        self::assertSame('Calls to Bookings, where nothing is pressed', $held['sentence']['calls']);
        $this->send('POST', '/api/expected', ['to' => '205', 'at' => '2026-11-23T10:30']);
        $this->assertStatus(422);
    }

    public function testWhatIsPromisedSomethingCannotGo(): void
    {
        $refused = $this->send(
            'POST',
            '/api/plans/draft/elements',
            [
                'promise' => ['that' => 'never rings', 'who' => 'nobody_of_that_id'],
            ] + self::PROMISE,
        );
        $this->assertStatus(422);
        self::assertSame('/promise/who', $refused['errors'][0]['pointer']);
    }

    public function testAFindingIsPutAsideWithAReasonAndAnEnd(): void
    {
        $year = $this->send('GET', '/api/plans/draft/year-findings');
        $this->assertStatus(200);
        self::assertSame(0, $year['left']);
        [, $known] = $year['findings'];
        self::assertSame(['num_paris', 'number-runs-out'], [$known['id'], $known['code']]);
        self::assertSame('2030-01-01', $known['silenced']['until']);
        $silence = ['element' => 'num_paris', 'code' => 'number-runs-out', 'reason' => 'So it is'];
        $this->change('set_ternwick', ['silences' => [$silence + ['until' => '2020-01-01']]]);
        self::assertNull(
            $this->send('GET', '/api/plans/draft/year-findings')['findings'][1]['silenced'],
            'It is told again when the day has come.',
        );
        $odd = $this->send('GET', '/api/plans/draft/findings?element=jrn_port')['findings'][0];
        self::assertNull($odd['silenced']);
        $this->change('set_ternwick', [
            'silences' => [
                [
                    'element' => 'jrn_port',
                    'code' => $odd['code'],
                    'reason' => 'It is recorded anew',
                    'until' => '2090-01-01',
                ],
            ],
        ]);
        self::assertSame(
            ['reason' => 'It is recorded anew', 'until' => '2090-01-01'],
            $this->send('GET', '/api/plans/draft/findings?element=jrn_port')['findings'][0]['silenced'],
        );
        $this->change('set_ternwick', ['silences' => [['reason' => ''] + $silence + ['until' => 'soon']]]);
        $this->assertStatus(422);
    }

    public function testTheBriefInEveryForm(): void
    {
        $html = $this->send('GET', '/api/plans/draft/brief.html?number=num_exception_berths')['text'];
        self::assertStringContainsString('<h2>Berth telephones</h2>', $html);
        self::assertStringContainsString('data:image/svg+xml;base64,', $html);
        self::assertStringNotContainsString('<ins>', $html);
        $this->change('num_exception_berths', ['target' => 'mbx_reception']);
        $beside = $this->send('GET', '/api/plans/draft/brief.html?number=num_exception_berths&before=live')['text'];
        self::assertStringContainsString('The draft, beside edition 1, which is live.', $beside);
        self::assertStringContainsString('<ins>Always: callers hear', $beside);
        self::assertStringContainsString('<del>', $beside);
        $french = $this->send('GET', '/api/plans/draft/brief.html?number=num_exception_berths&before=live&language=fr')[
            'text'
        ];
        self::assertStringContainsString('<html lang="fr">', $french);
        self::assertStringContainsString("Le brouillon, à côté de\u{a0}: édition 1, en vigueur. L’année", $french);
        self::assertStringContainsString("<ins>Toujours\u{a0}: les appelants entendent", $french);
        self::assertMatchesRegularExpression('/alt="Une semaine\x{a0}: [^"]*un message/u', $french);
        $this->send('GET', '/api/plans/draft/brief.html?language=de');
        $this->assertStatus(422);
        $markdown = $this->send('GET', '/api/plans/draft/brief.md?number=num_exception_berths')['text'];
        self::assertStringStartsWith('# Ternwick Ferries', $markdown);
        self::assertStringStartsWith(
            '%PDF',
            $this->send('GET', '/api/plans/draft/brief.pdf?number=num_exception_berths')['text'],
        );
        $this->send('GET', '/api/plans/draft/brief.html?number=hrs_reception');
        $this->assertStatus(404);
    }
}
