<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Server\Jobs\JobCancelled;
use Meandros\Server\Jobs\Jobs;
use Meandros\Server\Jobs\Progress;
use Meandros\Server\Jobs\RunJob;

/** Long work in the background. Here a job is run as soon as it is made; the worker itself is tried by the browser tests. */
final class JobsTest extends ApiTestCase
{
    private static function people(int $count, string $more = ''): string
    {
        return "name,extension,desk\n" .
            implode(
                "\n",
                array_map(
                    static fn(int $i): string => \sprintf('Person %d,%d,Desk phone', $i, 30_000 + $i),
                    range(1, $count),
                ),
            ) .
            $more;
    }

    public function testALargeFileOfPeopleIsBroughtInByAJob(): void
    {
        $text = self::people(2001);
        $look = $this->send('POST', '/api/plans/draft/people/preview', ['text' => $text]);
        self::assertSame([2001, true, 200], [$look['count'], $look['inBackground'], \count($look['rows'])]);
        $job = $this->send('POST', '/api/plans/draft/people', ['text' => $text]);
        $this->assertStatus(202);
        self::assertSame(
            ['people', 'Bring in 2001 people', 'done', 2001],
            [$job['kind'], $job['label'], $job['state'], $job['result']['rows']],
        );
        self::assertSame($job, $this->send('GET', '/api/jobs/' . $job['id']));
        self::assertSame([], $this->send('GET', '/api/jobs')['jobs']);
        self::assertSame('Bring in 2001 people', $this->outline()['undo']['label']);
    }

    public function testWhatCannotBeTakenSaysWhyAndNothingIsChanged(): void
    {
        $before = $this->draftRevision();
        $text = self::people(2000, "\n,39999,Desk phone");
        $job = $this->send('POST', '/api/plans/draft/people', ['text' => $text]);
        self::assertSame(['failed', null], [$job['state'], $job['result']]);
        self::assertStringContainsString('Line 2002, name: There is no name.', $job['problems'][0]['detail']);
        self::assertSame($before, $this->draftRevision());
        $job = $this->send('POST', '/api/plans/draft/people', ['text' => $text, 'leaveOut' => true]);
        self::assertSame(['done', 'Bring in 2000 people'], [$job['state'], $job['result']['label']]);
    }

    public function testOneThatHasEndedStaysAsItIs(): void
    {
        $job = $this->send('POST', '/api/plans/draft/people', ['text' => self::people(2001)]);
        self::assertSame('done', $this->send('POST', \sprintf('/api/jobs/%d/cancel', $job['id']))['state']);
        $before = $this->draftRevision();
        self::getContainer()->get(Jobs::class)->run(new RunJob($job['id']));
        self::assertSame($before, $this->draftRevision(), 'A message that comes twice does nothing.');
        $this->send('GET', '/api/jobs/999999999');
        $this->assertStatus(404);
    }

    public function testWhoeverRunsAJobLearnsThatNobodyWantsIt(): void
    {
        $database = self::getContainer()->get('doctrine')->getConnection();
        $id = $database->fetchOne(
            "INSERT INTO job (kind, label, state, input, who, made_at) VALUES ('people', 'X', 'running', '{}', 'demo', now()) RETURNING id",
        );
        $progress = new Progress($database, $id);
        $progress->at(1, 10);
        self::assertSame(
            [1, 10],
            [$this->send('GET', '/api/jobs/' . $id)['done'], $this->send('GET', '/api/jobs')['jobs'][0]['of']],
        );
        self::assertSame('running', $this->send('POST', \sprintf('/api/jobs/%d/cancel', $id))['state']);
        $this->expectException(JobCancelled::class);
        (new Progress($database, $id))->at(2, 10);
    }

    public function testOneAtWhichTheWorkerDiesAgainAndAgainIsGivenUp(): void
    {
        $database = self::getContainer()->get('doctrine')->getConnection();
        $id = $database->fetchOne(
            "INSERT INTO job (kind, label, state, input, who, made_at, begun) VALUES ('people', 'X', 'running', '{}', 'demo', now(), 3) RETURNING id",
        );
        self::getContainer()->get(Jobs::class)->run(new RunJob($id));
        $job = $this->send('GET', '/api/jobs/' . $id);
        self::assertSame('failed', $job['state']);
        self::assertStringContainsString('The worker stopped each time', $job['problems'][0]['detail']);
    }

    public function testOneThatWaitsIsGivenUpAtOnce(): void
    {
        $database = self::getContainer()->get('doctrine')->getConnection();
        $id = $database->fetchOne(
            "INSERT INTO job (kind, label, input, who, made_at) VALUES ('people', 'X', '{}', 'demo', now()) RETURNING id",
        );
        self::assertSame('cancelled', $this->send('POST', \sprintf('/api/jobs/%d/cancel', $id))['state']);
        self::getContainer()->get(Jobs::class)->run(new RunJob($id));
        self::assertSame('cancelled', $this->send('GET', '/api/jobs/' . $id)['state']);
    }
}
