<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Doctrine\DBAL\Connection;

/** Words are found wherever somebody worded something in the draft, as it is after each edit. */
final class WordedApiTest extends ApiTestCase
{
    public function testWordsAreFoundWithTheirElementTheirStepAndWhatIsAround(): void
    {
        self::assertContains(
            [
                'id' => 'prm_reception_closed',
                'kind' => 'prompt',
                'name' => 'Reception closed',
                'pointer' => '/scripts/fr',
                'step' => null,
                'before' => "L'accueil est ",
                'match' => 'fermé',
                'after' => '. Nous répondons de nouveau {opening}.',
            ],
            $this->places('FERME'),
        );
        self::assertSame(
            [['jrn_bookings', 's9'], ['jrn_lunch', 's1'], ['prm_bookings_menu', null]],
            array_map(static fn(array $place): array => [$place['id'], $place['step']], $this->places('new booking')),
        );
    }

    public function testWhatIsFoundFollowsEditsUndoAndWhatIsDeleted(): void
    {
        self::assertSame([], $this->places('lighthouse'));
        $this->change('prm_holiday', ['scripts' => ['en' => 'Our Lighthouse is 100% dark.']]);
        $this->assertStatus(200);
        self::assertSame(['prm_holiday'], array_column($this->places('lighthouse'), 'id'));
        // What a pattern is made of stands for itself.
        self::assertSame(['prm_holiday'], array_column($this->places('100% d'), 'id'));
        self::assertSame([], $this->places('l_ghthouse'));
        $this->undo();
        self::assertSame([], $this->places('lighthouse'));

        $this->send(
            'POST',
            '/api/plans/draft/elements',
            [
                'id' => 'prm_new',
                'scripts' => ['en' => 'A lighthouse.'],
            ] + $this->element('prm_holiday'),
        );
        $this->assertStatus(201);
        self::assertSame(['prm_new'], array_column($this->places('lighthouse'), 'id'));
        $this->send('DELETE', '/api/plans/draft/elements/prm_new', null, $this->revision('prm_new'));
        $this->assertStatus(200);
        self::assertSame([], $this->places('lighthouse'));
    }

    public function testOtherWordsArePutInTheirPlaceAsOneEdit(): void
    {
        $words = ['words' => 'lost property', 'put' => 'found things'];
        $found = $this->send('POST', '/api/plans/draft/rewording/look', $words)['elements'];
        $this->assertStatus(200);
        $ids = array_column($found, 'id');
        self::assertContains('hrs_lost', $ids, 'Names are words as well.');
        $before = array_map($this->element(...), $ids);
        $change = $this->send('POST', '/api/plans/draft/rewording', $words + ['in' => \array_slice($ids, 1)]);
        $this->assertStatus(200);
        self::assertSame([], array_diff($ids, [$ids[0], ...array_keys($change['elements'])]));
        self::assertSame('Say “found things” for “lost property”', $change['label']);
        self::assertSame('Found things hours', $this->element('hrs_lost')['name']);
        $left = $this->send('POST', '/api/plans/draft/rewording/look', $words)['elements'];
        self::assertSame([$ids[0]], array_column($left, 'id'));
        $this->undo();
        self::assertSame($before, array_map($this->element(...), $ids));
    }

    public function testWordsThatCannotBePutInTheirPlaceAreRefused(): void
    {
        $refused = function (array $body): array {
            $answer = $this->send('POST', '/api/plans/draft/rewording', $body);
            $this->assertStatus(422);

            return array_column($answer['errors'], 'pointer');
        };
        self::assertSame(['/words'], $refused(['words' => 'lighthouse', 'put' => 'x']));
        self::assertSame(['/words'], $refused(['words' => 'x', 'put' => 'y']));
        self::assertSame(['/put'], $refused(['words' => 'harbour', 'put' => str_repeat('x', 101)]));
        // A name may not be empty.
        self::assertSame(
            ['/prm_all_busy/name'],
            $refused(['words' => $this->element('prm_all_busy')['name'], 'put' => '']),
        );
    }

    public function testWhatIsTooShortOrTooLongIsRefusedAtItsField(): void
    {
        foreach ([' ab ' => 'too-short', str_repeat('a', 101) => 'too-long'] as $words => $code) {
            $answer = $this->send('GET', '/api/plans/draft/worded?words=' . rawurlencode($words));
            $this->assertStatus(422);
            self::assertSame(
                [['/words', $code]],
                array_map(static fn(array $error): array => [$error['pointer'], $error['code']], $answer['errors']),
            );
        }
    }

    public function testOfVeryManyPlacesSomeAreShown(): void
    {
        $more = array_map(
            static fn(int $n): array => ['key' => 'tower' . $n, 'name' => 'Lighthouse ' . $n, 'open' => false],
            range(1, 31),
        );
        foreach (['hrs_lost', 'hrs_freight'] as $id) {
            $this->change($id, ['states' => [...$this->element($id)['states'], ...$more]]);
            $this->assertStatus(200);
        }
        $answer = $this->send('GET', '/api/plans/draft/worded?words=lighthouse');
        self::assertTrue($answer['more']);
        self::assertCount(60, $answer['places']);
    }

    public function testWhatCannotBeReadIsLeftOut(): void
    {
        self::assertNotSame([], $this->places('holiday'));
        self::getContainer()
            ->get(Connection::class)
            ->executeStatement("UPDATE draft_element SET body = '{}' WHERE id <> 'prm_holiday'");
        self::assertSame(['prm_holiday'], array_unique(array_column($this->places('holiday'), 'id')));
    }

    /** @return list<array<string, string|null>> */
    private function places(string $words): array
    {
        $answer = $this->send('GET', '/api/plans/draft/worded?words=' . rawurlencode($words));
        $this->assertStatus(200);
        self::assertFalse($answer['more']);

        return $answer['places'];
    }
}
