<?php

declare(strict_types=1);

namespace Meandros\Core\Outside;

use Meandros\Core\Plan\Element\Destination;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Value\Lists;

/**
 * The outside lines of a plan, and which of them may carry a call. The site's own come first, then the others, by name.
 * Where a plan has no line at all, nothing is known about how calls leave, and every call may.
 */
final class Lines
{
    /** @var list<OutsideLine>|null by name; read when they are first wanted, as everything here is */
    private ?array $lines = null;
    /** @var array<string, list<OutsideLine>> by site */
    private array $ofSites = [];
    /** @var array<string, array<string, true>> area codes of the plan's numbers, by site */
    private array $areas = [];
    /** @var array<string, bool> whether a number is one of the plan */
    private array $own = [];
    /** @var array<string, list<OutsideLine>> by number and site */
    private array $carriers = [];

    public function __construct(
        private readonly Plan $plan,
        private readonly PhoneRanges $ranges = new KnownRanges(),
    ) {}

    public function isOf(Plan $plan): bool
    {
        return $this->plan === $plan;
    }

    /** Whether the plan says how calls leave. */
    public function areKnown(): bool
    {
        return [] !== $this->lines();
    }

    /**
     * @param string      $number E.164
     * @param string|null $site   of the phone that the call is forwarded for; null where it belongs to nobody
     *
     * @return list<OutsideLine> those that may carry it, in the order in which they are tried
     */
    public function carriers(string $number, ?string $site): array
    {
        return $this->carriers[$number . ' ' . $site] ??= $this->find($number, $site);
    }

    /** How a call to a number would leave; null where the plan does not say how calls leave. */
    public function departure(string $number, ?string $site): ?Departure
    {
        $tried = $this->from($site)[0] ?? null;
        $line = $this->carriers($number, $site)[0] ?? null;

        return null === $tried
            ? null
            : new Departure(
                $line,
                $this->destination($number, $line ?? $tried),
                null === $line ? '' : $this->dialled($number, $line),
            );
    }

    /** What a number is, seen from the site of a line. */
    public function destination(string $number, OutsideLine $line): Destination
    {
        $range = $this->ranges->of($number);
        $country = $this->plan->get(Site::class, $line->site)->place->country ?? '';

        return match (true) {
            $this->isOwn($number) => Destination::Internal,
            $range->isPremium => Destination::Premium,
            $range->country !== $country => Destination::International,
            $range->isMobile => Destination::Mobile,
            isset($this->areas($line->site)[$range->area]) => Destination::Local,
            default => Destination::National,
        };
    }

    /** The digits that go out: those put in front, then the number as it is dialled at the line's site. */
    public function dialled(string $number, OutsideLine $line): string
    {
        return $line->prefix .
            $this->ranges->dialled($number, $this->plan->get(Site::class, $line->site)->place->country ?? '');
    }

    /** @return list<OutsideLine> those of a site, by name */
    public function of(?string $site): array
    {
        return $this->ofSites[(string) $site] ??= array_values(
            array_filter($this->lines(), static fn(OutsideLine $line): bool => $line->site === $site),
        );
    }

    /** Whether a call to it comes back in, and leaves by no line. */
    public function isOwn(string $number): bool
    {
        return $this->own[$number] ??= $this->plan->dialled($number) instanceof Number;
    }

    public function isMobile(string $number): bool
    {
        return $this->ranges->of($number)->isMobile;
    }

    /** @return list<OutsideLine> every line, in the order in which they are tried from a site */
    public function from(?string $site): array
    {
        return [
            ...$this->of($site),
            ...array_values(array_filter($this->lines(), static fn(OutsideLine $line): bool => $line->site !== $site)),
        ];
    }

    /** @return list<OutsideLine> */
    private function find(string $number, ?string $site): array
    {
        return array_values(
            array_filter(
                $this->from($site),
                fn(OutsideLine $line): bool => Lists::has($line->destinations, $this->destination($number, $line)),
            ),
        );
    }

    /** @return list<OutsideLine> */
    private function lines(): array
    {
        if (null === $this->lines) {
            $this->lines = $this->plan->all(OutsideLine::class);
            usort(
                $this->lines,
                static fn(OutsideLine $a, OutsideLine $b): int => strnatcasecmp($a->name(), $b->name()),
            );
        }

        return $this->lines;
    }

    /** @return array<string, true> */
    private function areas(string $site): array
    {
        if (!isset($this->areas[$site])) {
            $this->areas[$site] = [];
            foreach ($this->plan->mentioning($site, Kind::Number) as $number) {
                if ($number instanceof Number) {
                    $this->areas[$site][$this->ranges->of($number->range->number)->area] = true;
                }
            }
            // Mobiles and the like have none.
            unset($this->areas[$site]['']);
        }

        return $this->areas[$site];
    }
}
