<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Element\Team;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\DraftMoved;

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
            self::assertSame('Port closed by storm', $before->plan->find('prm_storm')?->name(), 'Somebody else had fetched it at that moment.');
        } catch (DraftMoved $moved) {
            self::assertStringContainsString('written to', $moved->getMessage());
        }
    }

    public function testAQuestionDuringWhichSomebodyWroteIsAskedAgain(): void
    {
        $this->lookAgain();
        $draft = self::getContainer()->get(Draft::class);
        $reading = $draft->read();
        $database = self::getContainer()->get(Connection::class);
        $database->executeStatement("UPDATE draft SET revision = nextval('draft_revision')");
        self::assertStringContainsString('rings Bookings desk', $this->sentence());
        try {
            $reading->plan->find('prm_storm');
            self::fail('It is of another moment.');
        } catch (DraftMoved) {
            self::assertSame('Port closed by storm', $draft->plan()->find('prm_storm')?->name());
        }
    }

    public function testEditsOfOneElementLeaveTheOthersAsTheyWereShared(): void
    {
        self::assertStringContainsString('rings Bookings desk for 25 s', $this->sentence());
        foreach ([11, 12, 13] as $seconds) {
            $this->change('team_port', ['memberSeconds' => $seconds]);
            self::assertStringContainsString('rings Bookings desk for 25 s', $this->sentence());
            $team = self::getContainer()->get(Draft::class)->plan()->find('team_port');
            self::assertInstanceOf(Team::class, $team);
            self::assertSame($seconds, $team->memberSeconds);
        }
        $this->change('team_bookings', ['name' => 'Reservations desk']);
        self::assertStringContainsString('rings Reservations desk', $this->sentence());
        $this->undo();
        self::assertStringContainsString('rings Bookings desk', $this->sentence());
        $this->change('per_dana', ['extension' => '288']);
        self::assertStringContainsString('Dana Whitlock', $this->sentence(more: ['to' => '288']));
        $this->send('POST', '/api/trial-calls', ['to' => '201', 'at' => '2026-11-23T10:30']);
        $this->assertStatus(422, 'The old extension reaches nobody.');
    }

    public function testHoursFollowTheirElementsAndWhatIsForced(): void
    {
        $state = fn (): string => $this->send('GET', '/api/plans/draft/hours?at=2026-11-23T10:30')['states']['hrs_bookings']['state'];
        self::assertSame('open', $state());
        $hours = $this->element('hrs_bookings');
        $this->change('hrs_bookings', ['seasons' => [], 'week' => []]);
        self::assertSame('closed', $state());
        $this->change('hrs_bookings', $hours);
        self::assertSame('open', $state());
        $calendar = $this->element('cal_england');
        $this->change('cal_england', ['holidays' => [['id' => 'monday', 'name' => 'A Monday', 'rule' => ['on' => 'dates', 'dates' => ['2026-11-23']]], ...$calendar['holidays']]]);
        self::assertSame('holiday', $state());
    }
}
