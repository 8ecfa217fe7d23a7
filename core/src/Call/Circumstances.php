<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** What a trial call takes for granted of the company at that moment, in place of what is so live. */
final readonly class Circumstances
{
    public const FIELDS = ['statuses', 'queues', 'lines', 'down', 'withoutOverrides'];

    /**
     * @param array<string, Status>     $statuses         by person
     * @param array<string, QueueState> $queues           by queue
     * @param array<string, int>        $channelsTaken    channels of outside lines that other calls use, by line
     * @param list<string>              $sitesDown        sites whose phones cannot be reached
     * @param bool                      $withoutOverrides as if nobody had forced hours into a state
     */
    public function __construct(
        public array $statuses = [],
        public array $queues = [],
        public array $channelsTaken = [],
        public array $sitesDown = [],
        public bool $withoutOverrides = false,
    ) {}

    /** @param Input $in all assumptions */
    public static function fromJson(Input $in): self
    {
        return new self(
            self::statuses($in->field('statuses')),
            self::queues($in->field('queues')),
            self::channelsTaken($in->field('lines')),
            array_map(
                static fn(Input $item): string => $item->text(Limits::ID),
                $in->field('down')->items(Limits::ASSUMPTIONS),
            ),
            $in->field('withoutOverrides')->flag(false),
        );
    }

    /** @return array<string, Status> */
    private static function statuses(Input $in): array
    {
        $statuses = [];
        foreach ($in->items(Limits::ASSUMPTIONS) as $item) {
            $item->onlyFields(['who', 'status']);
            /** @var Status $status */
            $status = $item->field('status')->oneOf(Status::class, Status::Available);
            $statuses[$item->field('who')->once($statuses)] = $status;
        }

        return $statuses;
    }

    /** @return array<string, QueueState> */
    private static function queues(Input $in): array
    {
        $queues = [];
        foreach ($in->items(Limits::ASSUMPTIONS) as $item) {
            $queues[$item->field('queue')->once($queues)] = QueueState::fromJson($item);
        }

        return $queues;
    }

    /** @return array<string, int> */
    private static function channelsTaken(Input $in): array
    {
        $taken = [];
        foreach ($in->items(Limits::ASSUMPTIONS) as $item) {
            $item->onlyFields(['line', 'taken']);
            $taken[$item->field('line')->once($taken)] = $item->field('taken')->whole(0, 10000, 'calls', 0);
        }

        return $taken;
    }
}
