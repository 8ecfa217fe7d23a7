<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Server\Api\DraftMovedListener;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\DraftMoved;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;
use Symfony\Component\HttpKernel\HttpKernelInterface;

/** The draft is fetched as it is wanted, and shared: what is answered is of one moment all the same. */
final class SharedDraftTest extends ApiTestCase
{
    public function testWhatIsFetchedLaterIsOfTheSameMomentOrNothing(): void
    {
        $this->lookAgain();
        $before = self::getContainer()->get(Draft::class)->read();
        self::assertSame('Port office', $before->plan->find('team_port')?->name());
        $this->change('team_port', ['name' => 'Quay office']);
        self::assertSame('Port office', $before->plan->find('team_port')?->name(), 'What was fetched stays.');
        $this->change('prm_storm', ['name' => 'No sailings']);
        try {
            self::assertSame(
                'Port closed by storm',
                $before->plan->find('prm_storm')?->name(),
                'Somebody else had fetched it at that moment.',
            );
        } catch (DraftMoved $moved) {
            self::assertStringContainsString('written to', $moved->getMessage());
        }
    }

    public function testAQuestionDuringWhichSomebodyWroteIsAskedAgainAndNotForEver(): void
    {
        $kernel = self::getContainer()->get('http_kernel');
        $moved = static function (int $asked) use ($kernel): ExceptionEvent {
            $request = Request::create('http://127.0.0.1/api/plans/draft/pending');
            $request->attributes->set('_asked', $asked);
            $event = new ExceptionEvent($kernel, $request, HttpKernelInterface::MAIN_REQUEST, new DraftMoved());
            (new DraftMovedListener())($event);

            return $event;
        };
        $answer = $moved(1)->getResponse();
        self::assertSame(200, $answer?->getStatusCode());
        self::assertSame($this->draftRevision(), json_decode((string) $answer->getContent(), true)['revision']);
        $enough = $moved(5);
        self::assertNull($enough->getResponse());
        self::assertInstanceOf(ServiceUnavailableHttpException::class, $enough->getThrowable());
    }

    public function testEditsOfOneElementLeaveTheOthersAsTheyWereShared(): void
    {
        self::assertStringContainsString('rings Bea Longstaff for 15 s', $this->sentence());
        foreach ([11, 12, 13] as $seconds) {
            $this->change('team_port', ['memberSeconds' => $seconds]);
            self::assertStringContainsString('rings Bea Longstaff for 15 s', $this->sentence());
            $team = self::getContainer()->get(Draft::class)->plan()->find('team_port');
            self::assertInstanceOf(Team::class, $team);
            self::assertSame($seconds, $team->order->memberSeconds);
        }
        $this->change('que_bookings', ['name' => 'Reservations queue']);
        self::assertStringContainsString('waits in Reservations queue', $this->sentence());
        $this->undo();
        self::assertStringContainsString('waits in Bookings queue', $this->sentence());
        $this->change('per_dana', ['extension' => '288']);
        self::assertStringContainsString('Dana Whitlock', $this->sentence(more: ['to' => '288']));
        $this->send('POST', '/api/trial-calls', ['to' => '201', 'at' => '2026-11-23T10:30']);
        $this->assertStatus(422, 'The old extension reaches nobody.');
    }

    public function testNamesAndMentionsAreReadAtOnceAndAreThoseOfTheDraft(): void
    {
        $typed = fn(string $text): array => $this->send('POST', '/api/typed-steps', [
            'text' => $text,
            'country' => 'GB',
        ]);
        self::assertSame('team_port', $typed('ring Port office')['step']['target'] ?? null);
        $this->change('team_port', ['name' => 'Quay']);
        self::assertSame('team_port', $typed('ring Quay')['step']['target'] ?? null);
        self::assertSame('new:0', $typed('ring Port office')['step']['target'] ?? null, 'There is none of that name.');
        $this->undo();
        self::assertSame('team_port', $typed('ring Port office')['step']['target'] ?? null);

        $whose = fn(): array => array_column(
            $this->send('GET', '/api/plans/draft/numbers/num_direct/block')['numbers'],
            'leads',
            'extension',
        );
        self::assertSame('per_dana', $whose()['201'] ?? null);
        $this->change('per_dana', ['extension' => '288']);
        self::assertSame([null, 'per_dana'], [$whose()['201'], $whose()['288']]);
    }

    public function testHoursFollowTheirElementsAndWhatIsForced(): void
    {
        $state = fn(): string => $this->send('GET', '/api/plans/draft/hours?at=2026-11-23T10:30')['states'][
            'hrs_bookings'
        ]['state'];
        self::assertSame('open', $state());
        $hours = $this->element('hrs_bookings');
        $this->change('hrs_bookings', ['seasons' => [], 'week' => []]);
        self::assertSame('closed', $state());
        $this->change('hrs_bookings', $hours);
        self::assertSame('open', $state());
        $calendar = $this->element('cal_england');
        $this->change('cal_england', [
            'holidays' => [
                ['id' => 'monday', 'name' => 'A Monday', 'rule' => ['on' => 'dates', 'dates' => ['2026-11-23']]],
                ...$calendar['holidays'],
            ],
        ]);
        self::assertSame('holiday', $state());
    }

    /** The worker and the command line write as well, and have no part in what the server's processes share. */
    public function testWhatIsWrittenWithoutSharedMemoryIsSeenAllTheSame(): void
    {
        $seconds = static function (): ?int {
            $team = self::getContainer()->get(Draft::class)->plan()->find('team_port');

            return $team instanceof Team ? $team->order->memberSeconds : null;
        };
        $this->change('team_port', ['memberSeconds' => 11]);
        self::assertSame(11, $seconds());
        $database = self::getContainer()->get(Connection::class);
        $database->executeStatement("UPDATE draft SET revision = nextval('draft_revision')");
        $database->executeStatement(
            "UPDATE draft_element SET body = jsonb_set(body, '{memberSeconds}', '12'), revision = (SELECT revision FROM draft) WHERE id = 'team_port'",
        );
        self::assertSame(12, $seconds());
        $this->change('prm_storm', ['name' => 'No sailings']);
        self::assertSame(12, $seconds(), 'An edit of something else does not bring back what was shared before.');
    }

    public function testWhatAnEditWroteIsPutByForWhoeverLooksNext(): void
    {
        $this->change('team_port', ['memberSeconds' => 11]);
        self::getContainer()
            ->get(Connection::class)
            ->executeStatement("UPDATE draft_element SET body = '{}' WHERE id = 'team_port'");
        $team = self::getContainer()->get(Draft::class)->plan()->find('team_port');
        self::assertInstanceOf(Team::class, $team, 'The database is not asked.');
        self::assertSame(11, $team->order->memberSeconds);
    }

    public function testWhatWasTakenBackIsNotSharedForLater(): void
    {
        $this->change('prm_storm', ['name' => 'No sailings']);
        $draft = self::getContainer()->get(Draft::class);
        $team = $draft->plan()->find('team_port');
        self::assertInstanceOf(Team::class, $team);
        $database = self::getContainer()->get(Connection::class);
        $database->beginTransaction();
        $renamed = PlanCodec::storedElement((string) json_encode(['name' => 'Quay office'] + $team->toJson()));
        $change = $draft->replace($renamed, $this->revision('team_port'));
        self::assertSame('Quay office', $draft->plan()->find('team_port')?->name());
        $database->rollBack();
        self::assertSame('Port office', $draft->plan()->find('team_port')?->name());
        $this->change('prm_storm', ['name' => 'No ferries']);
        self::assertGreaterThan($change->revision, $this->draftRevision());
        self::assertSame('Port office', $draft->plan()->find('team_port')?->name());
    }
}
