<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Mentions;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\Editions;

/** Nothing that is in use goes away, whoever uses it by whatever name; what is published can be read back. */
final class ReferenceApiTest extends ApiTestCase
{
    public function testSomebodyWhoseSinglePhoneATeamRingsCannotBeDeleted(): void
    {
        $this->change('team_port', [
            'members' => [
                ['who' => 'per_kasia/desk', 'on' => true, 'tier' => 1, 'seconds' => null, 'askFirst' => false],
            ],
        ]);
        $this->assertStatus(200);
        $this->change('team_freight', [
            'members' => [['who' => 'per_hugh', 'on' => true, 'tier' => 1, 'seconds' => null, 'askFirst' => false]],
        ]);
        $answer = $this->send('DELETE', '/api/plans/draft/elements/per_kasia', null, $this->revision('per_kasia'));
        $this->assertStatus(409);
        self::assertContains('team_port', array_column($answer['places'], 'id'));
        $this->publish('Kasia alone');
        $this->assertStatus(201);
        self::assertStringContainsString(
            'Bookings',
            $this->sentence('2026-11-23T10:30', ['in' => 'live']),
            'The live plan can be read.',
        );
    }

    public function testAPhoneThatATeamRingsCannotBeTakenFromItsOwner(): void
    {
        $this->change('team_port', [
            'members' => [
                ['who' => 'per_kasia/desk', 'on' => true, 'tier' => 1, 'seconds' => null, 'askFirst' => false],
            ],
        ]);
        $kasia = $this->element('per_kasia');
        $answer = $this->change('per_kasia', [
            'phones' => array_values(
                array_filter($kasia['phones'], static fn(array $phone): bool => 'desk' !== $phone['id']),
            ),
        ]);
        $this->assertStatus(422);
        self::assertSame('/phones', $answer['errors'][0]['pointer']);
        self::assertStringContainsString('"desk" is in use', $answer['errors'][0]['detail']);
    }

    public function testExceptionsGoWithTheirHolidayInTheSameEdit(): void
    {
        $hours = $this->element('hrs_bookings');
        $use = array_values(
            array_filter($hours['calendars'], static fn(array $use): bool => [] !== $use['exceptions']),
        )[0];
        $calendar = $this->element($use['calendar']);
        $gone = $use['exceptions'][0]['holiday'];
        $change = $this->change($calendar['id'], [
            'holidays' => array_values(
                array_filter($calendar['holidays'], static fn(array $one): bool => $one['id'] !== $gone),
            ),
        ]);
        $this->assertStatus(200);
        self::assertContains('hrs_bookings', array_keys($change['elements']));
        self::assertStringNotContainsString($gone, (string) json_encode($this->element('hrs_bookings')['calendars']));
        $this->undo();
        self::assertSame($hours, $this->element('hrs_bookings'));
        self::assertSame($calendar, $this->element($calendar['id']));
    }

    public function testAnotherStandsInItsPlaceAsOneEdit(): void
    {
        $uses = $this->send('GET', '/api/plans/draft/elements/prm_holiday/uses');
        self::assertSame(['prompt'], $uses['kinds']);
        $users = array_values(array_unique(array_column($uses['places'], 'id')));
        self::assertGreaterThan(2, \count($users));
        $put = fn(string $id, array $body): array => $this->send(
            'POST',
            "/api/plans/draft/elements/$id/in-its-place",
            $body,
        );
        $change = $put('prm_holiday', ['put' => 'prm_all_busy', 'in' => [$users[0]]]);
        $this->assertStatus(200);
        self::assertSame([$users[0]], array_keys($change['elements']));
        $put('prm_holiday', ['put' => 'prm_all_busy']);
        $this->assertStatus(200);
        self::assertSame([], $this->send('GET', '/api/plans/draft/elements/prm_holiday/uses')['places']);
        $this->undo();
        $this->undo();
        self::assertSame($uses, $this->send('GET', '/api/plans/draft/elements/prm_holiday/uses'));

        self::assertSame('/put', $put('prm_holiday', ['put' => 'prm_holiday'])['errors'][0]['pointer']);
        $this->assertStatus(422);
        $of = $put('prm_holiday', ['put' => 'team_port'])['errors'][0];
        $this->assertStatus(422);
        self::assertStringStartsWith('/' . $users[0], $of['pointer'], 'A prompt is played, and a team is not.');
        $put('prm_nobody', ['put' => 'prm_holiday']);
        $this->assertStatus(404);
    }

    public function testACopyComesWithWhatItUsesAsOneEdit(): void
    {
        $copy = '/api/plans/draft/elements/jrn_lost/copy';
        $along = array_column($this->send('GET', $copy)['elements'], null, 'id');
        self::assertSame('jrn_lost', array_key_first($along));
        self::assertSame(['hours'], $along['hrs_lost']['kinds']);
        $change = $this->send('POST', $copy, [
            'name' => 'Found property line',
            'along' => [['id' => 'hrs_lost', 'name' => 'Found property hours']],
            'instead' => [['id' => 'sit_ternwick', 'put' => 'sit_saint_aubert']],
        ]);
        $this->assertStatus(201);
        $made = array_column($change['elements'], null, 'name');
        self::assertSame('sit_saint_aubert', $made['Found property hours']['site']);
        self::assertSame($made['Found property line']['id'], $change['id']);
        self::assertStringContainsString(
            $made['Found property hours']['id'],
            (string) json_encode($made['Found property line']['steps']),
        );
        self::assertCount(2, $made);
        $this->undo();
        $this->send('GET', '/api/plans/draft/elements/' . $change['id'] . '/uses');
        $this->assertStatus(404);
    }

    public function testWhatCannotBeCopiedIsRefusedAtItsField(): void
    {
        $pointers = function (string $id, array $body): array {
            $answer = $this->send('POST', "/api/plans/draft/elements/$id/copy", $body);
            $this->assertStatus(422);

            return array_column($answer['errors'], 'pointer');
        };
        self::assertSame([''], $pointers('per_ines', ['name' => 'Inès again']));
        self::assertSame(['/name'], $pointers('jrn_lost', ['name' => ' ']));
        self::assertSame(
            ['/along/1/id', '/along/2/id'],
            $pointers('jrn_lost', [
                'name' => 'X',
                'along' => [
                    ['id' => 'hrs_lost', 'name' => 'Y'],
                    ['id' => 'per_ines', 'name' => 'Y'],
                    ['id' => 'hrs_none', 'name' => 'Y'],
                ],
            ]),
        );
        self::assertSame(
            ['/instead/0/put'],
            $pointers('jrn_lost', ['name' => 'X', 'instead' => [['id' => 'hrs_lost', 'put' => 'hrs_none']]]),
        );
        // Hours are no prompt.
        $of = $pointers('jrn_lost', ['name' => 'X', 'instead' => [['id' => 'hrs_lost', 'put' => 'prm_holiday']]]);
        self::assertStringContainsString('/steps/', $of[0]);
        $this->send('POST', '/api/plans/draft/elements/jrn_none/copy', ['name' => 'X']);
        $this->assertStatus(404);
    }

    public function testTheIndexIsKeptWithEveryWrite(): void
    {
        $this->change('per_ines', ['extension' => '777']);
        $this->send('POST', '/api/plans/draft/elements', [
            'id' => 'team_new',
            'kind' => 'team',
            'name' => 'New',
            'members' => ['per_ines/mobile', '+447700900155'],
        ]);
        $this->send('DELETE', '/api/plans/draft/elements/team_new', null, $this->revision('team_new'));
        $this->undo();
        $this->undo();
        $this->undo('redo');
        self::assertSame(self::fromScratch(), self::stored());
        $this->send('POST', '/api/plans/draft/people/per_kasia/merge', ['into' => 'per_hugh']);
        self::assertSame(self::fromScratch(), self::stored());
        $this->restore(1);
        self::assertSame(self::fromScratch(), self::stored());
    }

    public function testABulkWriteNamesTheElementsOfItsProblems(): void
    {
        // Two people of one extension: taken one by one each would be fine.
        $answer = $this->send('POST', '/api/plans/draft/people', [
            'text' => "name,extension,outside\nNew One,333,+441632960110\n",
        ]);
        $this->assertStatus(422);
        self::assertMatchesRegularExpression('#^/per_[0-9a-f]+/phones/0/number$#', $answer['errors'][0]['pointer']);
        self::assertStringContainsString('our own number', $answer['errors'][0]['detail']);
    }

    public function testADraftThatDoesNotHoldTogetherIsNotPublished(): void
    {
        // However it came to that: here, behind the application's back.
        self::getContainer()->get(Connection::class)->executeStatement('DELETE FROM draft_reference');
        self::getContainer()
            ->get(Connection::class)
            ->executeStatement("DELETE FROM draft_element WHERE id = 'mbx_port'");
        $this->publish('Broken');
        $this->assertStatus(422);
        self::assertSame(1, self::getContainer()->get(Editions::class)->live());
    }

    /** @return list<string> */
    private static function stored(): array
    {
        $rows = self::getContainer()
            ->get(Connection::class)
            ->fetchFirstColumn("SELECT element_id || ' ' || mention FROM draft_mention");
        sort($rows);

        return $rows;
    }

    /** @return list<string> */
    private static function fromScratch(): array
    {
        $rows = [];
        foreach (
            PlanCodec::decode(PlanCodec::encode(self::getContainer()->get(Draft::class)->plan()))->elements()
            as $element
        ) {
            foreach (Mentions::by($element) as $mention) {
                $rows[] = $element->id() . ' ' . $mention;
            }
        }
        sort($rows);

        return $rows;
    }
}
