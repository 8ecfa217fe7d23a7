<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Routing\Router;

/** The coverage of many numbers: those that lead to the same in the same way are looked at once. */
final class AllNumbers
{
    private const MOST_KEPT = 300;

    private readonly Router $router;
    public readonly Alike $alike;
    /** @var array<string, Coverage> by what calls to them have in common */
    private array $known = [];

    /** @param TrialCall $call to any of them */
    public function __construct(
        private readonly Plan $plan,
        private readonly TrialCall $call,
        private readonly int $from,
        private readonly int $until,
        private readonly Assumptions $assumptions = new Assumptions(),
        private readonly LiveState $live = new LiveState(),
    ) {
        $this->router = new Router();
        $this->alike = new Alike($plan);
    }

    public function of(Number $number): Coverage
    {
        if (\count($this->known) > self::MOST_KEPT) {
            array_shift($this->known);
        }

        return $this->known[$this->alike->of($number)] ??= Coverage::over(
            new Courses(
                $this->plan,
                $this->call->to($number->range->example()),
                $this->assumptions,
                $this->live,
                $this->router,
            ),
            $this->from,
            $this->until,
        );
    }
}
