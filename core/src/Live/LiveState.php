<?php

declare(strict_types=1);

namespace Meandros\Core\Live;

use Meandros\Core\Call\SignIn;
use Meandros\Core\Time\Override;

/** What is not plan and takes effect at once: an explicit input of every trace. */
final readonly class LiveState
{
    /**
     * @param list<Override>                       $overrides of any hours, the latest last
     * @param array<string, LiveStatus>            $statuses  by person; those not listed are available
     * @param array<string, array<string, SignIn>> $signIns   by queue and person; those not listed are signed in
     */
    public function __construct(
        public array $overrides = [],
        public array $statuses = [],
        public array $signIns = [],
    ) {}

    /** @return list<string> hours, people and queues of which another one says something else, by id */
    public function differing(self $other): array
    {
        $hours = static function (self $of): array {
            $forced = [];
            foreach ($of->overrides as $one) {
                $forced[$one->hours][] = $one;
            }

            return $forced;
        };
        $differing = [];
        foreach (
            [[$hours($this), $hours($other)], [$this->statuses, $other->statuses], [$this->signIns, $other->signIns]]
            as [$here, $there]
        ) {
            foreach (array_keys($here + $there) as $id) {
                serialize($here[$id] ?? null) === serialize($there[$id] ?? null) || ($differing[] = (string) $id);
            }
        }

        return $differing;
    }
}
