<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

use Doctrine\DBAL\Connection;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Wording\ProblemWords;
use Meandros\Server\Now;
use Meandros\Server\Storage\NotFound;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Symfony\Component\Messenger\Event\WorkerStartedEvent;
use Symfony\Component\Messenger\MessageBusInterface;

/** The jobs there are: each is made and handed to the worker in one transaction, and kept with its input and its result. */
final readonly class Jobs
{
    private const COLUMNS = 'id, kind, label, state, done, of, result, problems';
    /** Ended ones that are kept. */
    private const KEPT = 100;
    /** As a worker that is stopped on purpose dies too. */
    private const MOST_BEGUN = 3;

    /** @param iterable<JobKind> $kinds */
    public function __construct(
        private Connection $database,
        private MessageBusInterface $bus,
        private Now $now,
        #[AutowireIterator(JobKind::class)] private iterable $kinds,
    ) {}

    /** @param array<string, mixed> $input */
    public function start(string $kind, string $label, array $input): Job
    {
        $id = $this->database->transactional(function () use ($kind, $label, $input): int {
            $this->database->executeStatement(
                "DELETE FROM job WHERE id IN (SELECT id FROM job WHERE state NOT IN ('waiting', 'running') ORDER BY id DESC OFFSET ?)",
                [self::KEPT],
            );
            $id = $this->database->fetchOne(
                'INSERT INTO job (kind, label, input, who, made_at) VALUES (?, ?, ?, ?, ?) RETURNING id',
                [$kind, $label, json_encode($input, \JSON_THROW_ON_ERROR), 'demo', $this->time()],
            );
            \assert(is_numeric($id));
            $this->bus->dispatch(new RunJob((int) $id));

            return (int) $id;
        });

        return $this->get($id);
    }

    /** @throws NotFound */
    public function get(int $id): Job
    {
        $row = $this->database->fetchAssociative('SELECT ' . self::COLUMNS . ' FROM job WHERE id = ?', [$id]);

        return false === $row
            ? throw new NotFound('There is no such job; old ones are not kept for ever.')
            : Job::of($row);
    }

    /** @return list<Job> those that wait or run */
    public function atWork(): array
    {
        return array_map(
            Job::of(...),
            $this->database->fetchAllAssociative(
                'SELECT ' . self::COLUMNS . " FROM job WHERE state IN ('waiting', 'running') ORDER BY id LIMIT 20",
            ),
        );
    }

    /**
     * One that waits is given up at once, one that runs as soon as it looks. One that has ended stays as it is.
     *
     * @throws NotFound
     */
    public function cancel(int $id): Job
    {
        $this->database->executeStatement(
            "UPDATE job SET wanted = false, state = CASE WHEN state = 'waiting' THEN 'cancelled' ELSE state END WHERE id = ? AND state IN ('waiting', 'running')",
            [$id],
        );

        return $this->get($id);
    }

    #[AsMessageHandler]
    public function run(RunJob $message): void
    {
        /** @var array{kind: string, input: string, begun: int}|false $row */
        $row = $this->database->fetchAssociative(
            "UPDATE job SET state = 'running', begun = begun + 1 WHERE id = ? AND state IN ('waiting', 'running') RETURNING kind, input, begun",
            [$message->job],
        );
        if (false === $row) {
            return;
        }
        if ($row['begun'] > self::MOST_BEGUN) {
            // Others wait behind it.
            $problem = new Problem('', 'worker-died', ['times' => self::MOST_BEGUN]);
            $this->end($message->job, JobState::Failed, null, [$problem]);

            return;
        }
        try {
            /** @var array<string, mixed> $input */
            $input = json_decode($row['input'], true, 64, \JSON_THROW_ON_ERROR);
            $result = $this->kind($row['kind'])->run($input, new Progress($this->database, $message->job));
            $this->end($message->job, JobState::Done, $result, []);
        } catch (JobCancelled) {
            $this->end($message->job, JobState::Cancelled, null, []);
        } catch (InvalidData $invalid) {
            $this->end($message->job, JobState::Failed, null, $invalid->problems);
        } catch (\Throwable $error) {
            $this->end($message->job, JobState::Failed, null, [new Problem('', 'server-fault')]);
            throw $error;
        }
    }

    /** What ran when the worker died is begun again. */
    #[AsEventListener]
    public function begin(WorkerStartedEvent $event): void
    {
        $this->database->executeStatement('UPDATE messenger_messages SET delivered_at = NULL');
    }

    private function kind(string $name): JobKind
    {
        foreach ($this->kinds as $kind) {
            if ($kind->name() === $name) {
                return $kind;
            }
        }
        throw new \LogicException(\sprintf('There is no kind of job "%s".', $name));
    }

    /**
     * @param array<string, mixed>|null $result
     * @param list<Problem>             $problems
     */
    private function end(int $id, JobState $state, ?array $result, array $problems): void
    {
        $this->database->executeStatement(
            "UPDATE job SET state = ?, result = CAST(? AS jsonb), problems = CAST(? AS jsonb), ended_at = ?, input = '{}', done = CASE WHEN ? = 'done' THEN of ELSE done END WHERE id = ?",
            [
                $state->value,
                null === $result ? null : json_encode($result, \JSON_THROW_ON_ERROR),
                json_encode(
                    array_map(ProblemWords::report(...), \array_slice($problems, 0, Limits::PROBLEMS)),
                    \JSON_THROW_ON_ERROR,
                ),
                $this->time(),
                $state->value,
                $id,
            ],
        );
    }

    private function time(): string
    {
        return $this->now->moment()->format(\DATE_RFC3339);
    }
}
