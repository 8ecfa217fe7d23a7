<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;

/**
 * How one call fares at any instant. Calls that look up the same things and find the same fare the same: each combination is
 * traced once, and kept in a tree of lookups whose branches are what they find.
 */
final class Courses
{
    /** @var array<string, Course> by key */
    private array $courses = [];
    /** @var list<Course> */
    private array $all = [];
    private readonly Node $root;
    public readonly PlanHours $hours;
    private readonly Router $router;

    /** @param TrialCall $call at any instant */
    public function __construct(
        private readonly Plan $plan,
        private readonly TrialCall $call,
        private readonly Assumptions $assumptions = new Assumptions(),
        private readonly LiveState $live = new LiveState(),
        ?Router $router = null,
    ) {
        $this->root = new Node();
        $this->router = $router ?? new Router();
        $this->hours = $this->router->hoursOf(
            $plan,
            $assumptions->circumstances->withoutOverrides ? [] : $live->overrides,
        );
    }

    /**
     * @return Stretch around the instant; a neighbouring one may have the same course
     *
     * @throws InvalidData when what is dialled is nothing of the plan
     */
    public function at(int $instant): Stretch
    {
        $node = $this->root;
        $since = $until = null;
        while (null !== ($found = $node->find($instant, $this->hours))) {
            $since = null === $found->since ? $since : max($since ?? $found->since, $found->since);
            $until = null === $found->until ? $until : min($until ?? $found->until, $found->until);
            $node = $node->branches[$found->answer] ??= new Node();
        }
        if (null !== $node->course) {
            return new Stretch($since, $until, $node->course);
        }
        $trace = $this->router->trace($this->plan, $this->call->at($instant), $this->assumptions, $this->live);
        $this->all[] = $course = new Course($trace);
        $course = $this->courses[$course->key] ??= $course;
        $this->root->keep($trace->holds->lookups, $course);

        return new Stretch($trace->holds->since, $trace->holds->until, $course);
    }

    /** @return list<Course> of each call that was traced its own, though calls fare the same */
    public function all(): array
    {
        return $this->all;
    }
}
