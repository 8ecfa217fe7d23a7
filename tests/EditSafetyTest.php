<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\ConstraintViolationException;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

/** Edits that come twice, late, or on top of others'; and what is stored going bad. */
final class EditSafetyTest extends ApiTestCase
{
    private const TEAM = ['kind' => 'team', 'name' => 'Night crew', 'pattern' => 'all at once', 'members' => []];

    public function testAWriteThatIsSentAgainIsAnsweredAndNotDoneAgain(): void
    {
        $first = $this->send('POST', '/api/plans/draft/elements', self::TEAM, key: 'k-1');
        $etag = $this->header('ETag');
        $again = $this->send('POST', '/api/plans/draft/elements', self::TEAM, key: 'k-1');
        $this->assertStatus(201);
        self::assertSame(
            [$first, $etag, 'true'],
            [$again, $this->header('ETag'), $this->header('Idempotency-Replayed')],
        );
        self::assertCount(1, array_keys(array_column($this->outline()['elements'], 'name'), 'Night crew', true));
        $this->send('POST', '/api/plans/draft/elements', self::TEAM, key: 'k-2');
        self::assertCount(2, array_keys(array_column($this->outline()['elements'], 'name'), 'Night crew', true));
    }

    public function testAKeyIsForOneRequest(): void
    {
        $this->send('POST', '/api/plans/draft/elements', self::TEAM, key: 'k-1');
        $problem = $this->send('POST', '/api/plans/draft/elements', ['name' => 'Day crew'] + self::TEAM, key: 'k-1');
        $this->assertStatus(422);
        self::assertStringContainsString('was used for another request', $problem['detail']);
        $this->send('POST', '/api/plans/draft/elements', self::TEAM, key: str_repeat('k', 201));
        $this->assertStatus(400);
    }

    public function testARefusedWriteIsLookedAtAnewAndAnAnswerIsKeptForADay(): void
    {
        $this->send('POST', '/api/plans/draft/elements', ['name' => ''] + self::TEAM, key: 'k-1');
        $this->assertStatus(422);
        $first = $this->send('POST', '/api/plans/draft/elements', self::TEAM, key: 'k-1');
        $this->assertStatus(201);
        self::getContainer()
            ->get(Connection::class)
            ->executeStatement('UPDATE remembered_answer SET made_at = made_at - 86400');
        self::assertNotSame(
            $first['id'],
            $this->send('POST', '/api/plans/draft/elements', self::TEAM, key: 'k-1')['id'],
        );
        self::assertSame(
            1,
            self::getContainer()->get(Connection::class)->fetchOne('SELECT count(*) FROM remembered_answer'),
        );
    }

    public function testUndoAndRedoTakeTheEditThatIsNamedOrNone(): void
    {
        $this->change('team_port', ['memberSeconds' => 9]);
        $this->change('team_port', ['memberSeconds' => 8]);
        $edit = $this->outline()['undo']['edit'];
        $this->send('POST', '/api/plans/draft/undo', ['edit' => $edit]);
        $problem = $this->send('POST', '/api/plans/draft/undo', ['edit' => $edit]);
        $this->assertStatus(412);
        self::assertStringContainsString('next is “Change Port office”', $problem['detail']);
        self::assertSame(9, $this->element('team_port')['memberSeconds'], 'Only one was taken back.');
        $this->send('POST', '/api/plans/draft/redo', ['edit' => $edit]);
        $this->send('POST', '/api/plans/draft/redo', ['edit' => $edit]);
        $this->assertStatus(409);
        self::assertSame(8, $this->element('team_port')['memberSeconds']);
        $this->send('POST', '/api/plans/draft/undo', []);
        $this->assertStatus(422);
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('wholes')]
    public function testActsOnTheWholeDraftNameWhatWasLookedAt(string $method, string $path, array $body): void
    {
        $looked = $this->draftRevision();
        $this->change('team_port', ['memberSeconds' => 9]);
        $this->send($method, $path, $body, $looked);
        $this->assertStatus(412);
        $this->send($method, $path, $body);
        $this->assertStatus(428);
        self::assertSame(9, $this->element('team_port')['memberSeconds']);
        $this->send($method, $path, $body, $this->draftRevision());
        $this->assertStatus('/api/editions' === $path ? 201 : 200);
    }

    /** @return iterable<string, array{string, string, array<string, mixed>}> */
    public static function wholes(): iterable
    {
        yield 'a plan file' => ['PUT', '/api/plans/draft/file', ['meandros' => 1, 'name' => 'Other', 'elements' => []]];
        yield 'publishing' => ['POST', '/api/editions', ['note' => 'Shorter']];
        yield 'an edition put back' => ['POST', '/api/editions/1/restore', []];
    }

    public function testListsComeInPagesWithoutBodies(): void
    {
        foreach ([9, 8, 7] as $seconds) {
            $this->change('team_port', ['memberSeconds' => $seconds]);
            $this->publish("Rings $seconds s");
        }
        $two = $this->send('GET', '/api/plans/draft/history?most=2')['edits'];
        self::assertSame([1, 1], array_column($two, 'changed'));
        $next = $this->send('GET', '/api/plans/draft/history?most=1&before=' . $two[1]['id'])['edits'];
        self::assertSame(['team_port'], $next[0]['elements']);
        self::assertLessThan($two[1]['id'], $next[0]['id']);
        $opened = $this->send('GET', '/api/plans/draft/history/' . $two[0]['id'])['changes'];
        self::assertSame([8, 7], [$opened[0]['before']['memberSeconds'], $opened[0]['after']['memberSeconds']]);
        self::assertSame([4, 3], array_column($this->send('GET', '/api/editions?most=2')['editions'], 'number'));
        self::assertSame([2, 1], array_column($this->send('GET', '/api/editions?before=3')['editions'], 'number'));
        $this->send('GET', '/api/editions?most=0');
        $this->assertStatus(422);
    }

    public function testWhatCannotBeReadIsLeftOutAndItsLastGoodStateOffered(): void
    {
        $good = $this->element('team_port');
        $database = self::getContainer()->get(Connection::class);
        $database->executeStatement(
            "UPDATE draft_element SET body = jsonb_set(body, '{pattern}', '\"upside down\"') WHERE id = 'team_port'",
        );
        $database->executeStatement("UPDATE draft_element SET kind = 'oracle' WHERE id = 'mbx_port'");
        // What was sent of this revision is kept for ten minutes.
        $this->lookAgain();
        $plan = $this->send('GET', '/api/plans/draft');
        $this->assertStatus(200);
        self::assertSame(['mbx_port', 'team_port'], array_column($plan['unreadable'], 'id'));
        self::assertSame(
            ['Its kind is not known.', '/pattern: This is not one of the choices.'],
            array_column($plan['unreadable'], 'detail'),
        );
        self::assertEquals($good, $plan['unreadable'][1]['lastGood']);
        self::assertStringContainsString(
            'waits in Bookings queue',
            $this->sentence(),
            'Calls that do not come there are tried as ever.',
        );
        $this->publish('With a hole');
        $this->assertStatus(409);
        $command = new CommandTester((new Application(self::$kernel))->find('meandros:check-stored'));
        self::assertSame(1, $command->execute([]));
        self::assertStringContainsString(
            '“Port office” (team_port) cannot be read. Its last good state',
            $command->getDisplay(),
        );
        foreach ([0, 1] as $i) {
            $this->send(
                'PUT',
                '/api/plans/draft/elements/' . $plan['unreadable'][$i]['id'],
                $plan['unreadable'][$i]['lastGood'],
                $plan['unreadable'][$i]['revision'],
            );
            $this->assertStatus(200);
        }
        self::assertSame([], $this->outline()['unreadable']);
        self::assertSame(0, $command->execute([]));
    }

    public function testADamagedEditionIsPassedOverWithAnAlarm(): void
    {
        $this->change('que_bookings', ['name' => 'Reservations queue']);
        $this->publish('A new name');
        self::assertSame([], $this->send('GET', '/api/ready')['alarms']);
        self::getContainer()
            ->get(Connection::class)
            ->executeStatement(
                "UPDATE edition SET document = replace(document, 'Reservations', 'Bandits') WHERE number = 2",
            );
        $this->lookAgain();
        self::assertStringContainsString('waits in Bookings queue', $this->sentence(more: ['in' => 'live']));
        self::assertSame(1, $this->send('GET', '/api/editions')['live']);
        self::assertStringContainsString(
            'Edition 2 is damaged in the database. Calls are routed by edition 1',
            $this->send('GET', '/api/ready')['alarms'][0],
        );
        $this->send('GET', '/api/plans/2');
        $this->assertStatus(409);
        self::assertSame(3, $this->publish('The same again')['number'], 'What is damaged can be published again.');
        self::assertStringContainsString('waits in Reservations queue', $this->sentence(more: ['in' => 'live']));
    }

    #[DataProvider('wrongRows')]
    public function testTheDatabaseGuardsWhatTheApplicationPromises(string $statement): void
    {
        $this->expectException(ConstraintViolationException::class);
        self::getContainer()->get(Connection::class)->executeStatement($statement);
    }

    /** @return iterable<string, array{string}> */
    public static function wrongRows(): iterable
    {
        yield 'an extension twice' => ["INSERT INTO draft_dialled (dialled, element_id) VALUES ('201', 'per_noor')"];
        yield 'a reference that leads nowhere' => [
            "INSERT INTO draft_reference (element_id, target) VALUES ('per_dana', 'team_gone')",
        ];
        yield 'what is referred to is deleted' => ["DELETE FROM draft_element WHERE id = 'mbx_port'"];
    }

    public function testTwoPeopleSwapExtensionsInOneEdit(): void
    {
        $plan = $this->send('GET', '/api/plans/draft/file');
        foreach ($plan['elements'] as &$element) {
            $element['extension'] =
                ['201' => '202', '202' => '201'][$element['extension'] ?? ''] ?? ($element['extension'] ?? null);
            $element = array_filter($element, static fn(mixed $value): bool => null !== $value);
        }
        $plan = json_decode((string) json_encode($plan), true);
        $this->send('PUT', '/api/plans/draft/file', $plan, $this->draftRevision());
        $this->assertStatus(200);
        self::assertSame('202', $this->element('per_dana')['extension']);
    }
}
