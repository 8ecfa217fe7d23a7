<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** A phone is to ring over a half-open stretch of seconds, counted from when the ringing starts. */
final readonly class Alert
{
    /**
     * @param string|null $line  the outside line that carries it, by id
     * @param string      $dials the digits that go out on it
     */
    public function __construct(public RingPhone $phone, public int $from, public int $until, public ?string $line = null, public string $dials = '')
    {
    }

    public function on(string $line, string $dials): self
    {
        return new self($this->phone, $this->from, $this->until, $line, $dials);
    }

    /**
     * Alerts of the same phone that touch or overlap are one: it rings on.
     *
     * @param list<self> $alerts
     *
     * @return list<self> phone by phone, in the order in which the phones are first listed
     */
    public static function merged(array $alerts): array
    {
        $byPhone = [];
        foreach ($alerts as $alert) {
            $byPhone[$alert->phone->id][] = $alert;
        }
        if (\count($byPhone) === \count($alerts)) {
            return $alerts;
        }
        $merged = [];
        foreach ($byPhone as $own) {
            usort($own, static fn (self $a, self $b): int => $a->from <=> $b->from);
            $last = array_shift($own);
            foreach ($own as $alert) {
                if ($alert->from > $last->until) {
                    $merged[] = $last;
                    $last = $alert;
                } else {
                    $last = new self($last->phone, $last->from, max($last->until, $alert->until));
                }
            }
            $merged[] = $last;
        }

        return $merged;
    }
}
