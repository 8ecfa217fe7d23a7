<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

final class RingingApiTest extends ApiTestCase
{
    private const STEP = [
        'id' => 'preview',
        'do' => 'ring',
        'target' => 'per_ines',
        'seconds' => 30,
        'handOver' => true,
    ];
    private const CALL = ['to' => self::BOOKINGS, 'at' => '2026-11-25T10:00'];

    public function testAPreviewOfAPersonAsItIsAndAsItWouldBe(): void
    {
        $bars = fn(array $more): array => array_map(
            static fn(array $rung): string => \sprintf('%s %d–%d', $rung['label'], $rung['from'], $rung['until']),
            $this->send('POST', '/api/ring-previews', ['call' => self::CALL, 'step' => self::STEP] + $more)['rung'],
        );
        self::assertSame(['Desk phone 0–10', 'Mobile 10–30'], $bars([]));
        $ines = $this->element('per_ines');
        $ines['rules'][1]['stages'][1]['after'] = 4;
        self::assertSame(['Desk phone 0–10', 'Mobile 4–24'], $bars(['element' => $ines]));
        $sentence = $this->send('POST', '/api/ring-previews', [
            'call' => self::CALL,
            'step' => ['target' => 'team_bookings', 'handOver' => false] + self::STEP,
        ])['sentence'];
        self::assertSame('Rings Bookings desk for 30 s, then the call goes on.', $sentence);
        $direct = $this->send('POST', '/api/ring-previews', [
            'call' => self::CALL,
            'direct' => true,
            'step' => ['target' => 'per_kasia'] + self::STEP,
        ])['sentence'];
        self::assertSame(
            'Rings Kasia Wrona for 33 s, then the call ends because no step is left.',
            $direct,
            'She has no mailbox of her own.',
        );
        self::assertSame(10, $this->element('per_ines')['rules'][1]['stages'][1]['after'], 'Nothing is written.');
    }

    public function testAPreviewThatMakesNoSense(): void
    {
        $answer = $this->send('POST', '/api/ring-previews', [
            'call' => self::CALL,
            'step' => ['seconds' => -1] + self::STEP,
            'element' => ['kind' => 'boat'],
        ]);
        $this->assertStatus(422);
        self::assertSame(['/step/seconds', '/element/kind'], array_column($answer['errors'], 'pointer'));
    }

    public function testHowACallToANumberWouldLeave(): void
    {
        $leaves = fn(string $text, string $site): ?array => $this->send(
            'GET',
            '/api/phone-numbers?' . http_build_query(['text' => $text, 'country' => 'GB', 'site' => $site]),
        )['leaves'];
        self::assertSame(
            [
                'line' => 'line_ternwick',
                'name' => 'Ternwick trunk',
                'destination' => 'mobile',
                'dials' => '907700900123',
            ],
            $leaves('07700 900123', 'sit_ternwick'),
        );
        self::assertSame(
            ['line' => null, 'name' => null, 'destination' => 'premium', 'dials' => ''],
            $leaves('0906 123 4567', 'sit_ternwick'),
        );
        $this->send('DELETE', '/api/plans/draft/elements/line_ternwick', null, $this->revision('line_ternwick'));
        $this->send(
            'DELETE',
            '/api/plans/draft/elements/line_saint_aubert',
            null,
            $this->revision('line_saint_aubert'),
        );
        self::assertNull($leaves('07700 900123', 'sit_ternwick'), 'Nothing is known about how calls leave.');
        $refused = $this->send('GET', '/api/phone-numbers?text=999&country=GB&site=sit_ternwick');
        $this->assertStatus(422);
        self::assertStringContainsString('emergency number', $refused['errors'][0]['detail']);
    }

    public function testWhatIsUsualInACountry(): void
    {
        ['countries' => $countries, 'usualCadence' => $usual] = $this->send('GET', '/api/countries');
        self::assertSame(['zones' => ['Europe/London'], 'cadence' => 3000], $countries['GB']);
        self::assertSame([6000, null, 5000], [$countries['US']['cadence'], $countries['MT']['cadence'], $usual]);
        self::assertContains('America/Denver', $countries['US']['zones']);
    }

    public function testAFindingBringsWhatMendsIt(): void
    {
        $this->change('line_ternwick', ['destinations' => ['national', 'emergency']]);
        $this->change('line_saint_aubert', ['destinations' => []]);
        $found = array_values(
            array_filter(
                $this->send('GET', '/api/plans/draft/findings')['findings'],
                static fn(array $one): bool => 'per_hugh' === $one['id'],
            ),
        );
        self::assertSame(
            [
                'label' => 'Let “Ternwick trunk” carry mobile calls',
                'element' => 'line_ternwick',
                'patch' => [['op' => 'add', 'path' => '/destinations/-', 'value' => 'mobile']],
            ],
            $found[0]['fix'],
        );
    }

    public function testMergingPeopleIsOneEditThatCanBeTakenBack(): void
    {
        $change = $this->send('POST', '/api/plans/draft/people/per_kasia/merge', ['into' => 'per_hugh']);
        $this->assertStatus(200);
        self::assertSame('Merge Kasia Wrona into Hugh Pellow', $change['label']);
        self::assertNull($change['elements']['per_kasia']);
        self::assertSame(['per_hugh', 'per_tomasz'], array_column($this->element('team_freight')['members'], 'who'));
        self::assertCount(4, $this->element('per_hugh')['phones']);
        $this->undo();
        self::assertCount(2, $this->element('per_kasia')['phones']);
        self::assertSame(
            ['per_hugh', 'per_kasia', 'per_tomasz'],
            array_column($this->element('team_freight')['members'], 'who'),
        );
    }

    public function testMergingWithNobodyIsRefused(): void
    {
        foreach (['per_kasia', 'team_freight', ''] as $into) {
            self::assertSame(
                '/into',
                $this->send('POST', '/api/plans/draft/people/per_kasia/merge', ['into' => $into])['errors'][0][
                    'pointer'
                ],
            );
        }
        $this->send('POST', '/api/plans/draft/people/per_nobody/merge', ['into' => 'per_hugh']);
        $this->assertStatus(404);
    }

    public function testRulesAreCopiedAsOneEdit(): void
    {
        $answer = $this->send('POST', '/api/plans/draft/people/per_ines/copy-rules', [
            'to' => ['per_hugh', 'per_marcus'],
        ]);
        $this->assertStatus(200);
        self::assertSame('Copy the rules of Ines Carreira to 2 people', $answer['label']);
        self::assertSame(
            [['person' => 'Marcus Thole', 'rules' => 1]],
            $answer['leftOut'],
            'Marcus has no mobile, which the first rule rings alone.',
        );
        self::assertSame(
            [['desk'], ['mobile']],
            array_column($this->element('per_hugh')['rules'][1]['stages'], 'phones'),
        );
        self::assertSame([['desk']], array_column($this->element('per_marcus')['rules'][0]['stages'], 'phones'));
        self::assertSame(
            '/to',
            $this->send('POST', '/api/plans/draft/people/per_ines/copy-rules', ['to' => []])['errors'][0]['pointer'],
        );
    }

    public function testRenumberingAnExtensionKeepsEverythingThatRefersToIt(): void
    {
        $before = $this->send('GET', '/api/plans/draft/elements/per_ines/uses')['places'];
        $this->change('per_ines', ['extension' => '299']);
        self::assertStringContainsString(
            'Extension 299 belongs to Rowan Tresco',
            (string) json_encode($this->change('per_ines', ['extension' => '299'])),
        );
        $this->change('per_ines', ['extension' => '777']);
        $this->assertStatus(200);
        self::assertSame($before, $this->send('GET', '/api/plans/draft/elements/per_ines/uses')['places']);
        self::assertStringStartsWith('Rings Ines Carreira', $this->sentence('2026-11-25T10:00', ['to' => '777']));
    }
}
