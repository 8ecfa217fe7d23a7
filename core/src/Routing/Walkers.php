<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\StepList;

/** Each kind of step is taken by the walker of its name. */
final class Walkers
{
    /** @var array<class-string<Step>, StepWalker> */
    private array $walkers = [];

    /**
     * @throws CallOver
     * @throws TimeUp
     */
    public function take(Step $step, Walk $walk): Onward
    {
        $walker = $this->walkers[$step::class] ??= new (self::of($step::class))();

        return $walker->take($step, $walk);
    }

    /**
     * @param class-string<Step> $kind
     *
     * @return class-string<StepWalker>
     */
    public static function of(string $kind): string
    {
        /** @var class-string<StepWalker> */
        return __NAMESPACE__ . '\Step' . substr((string) strrchr($kind, '\\'), 0, -\strlen('Step')) . 'Walker';
    }

    /**
     * Steps without exits of their own, one after the other, as part of the step that the call is at.
     *
     * @throws CallOver
     * @throws TimeUp
     */
    public function through(StepList $list, Walk $walk): Onward
    {
        $onward = Onward::next();
        foreach ($list->steps as $step) {
            $onward = $this->take($step, $walk);
            // Whoever is called back has hung up: what comes next is not for them.
            if (!$onward->goesOn() || null !== $onward->otherwise) {
                break;
            }
        }

        return $onward;
    }
}
