<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\AgainStep;
use Meandros\Core\Plan\Step\CallerStep;
use Meandros\Core\Plan\Step\DirectoryStep;
use Meandros\Core\Plan\Step\EndStep;
use Meandros\Core\Plan\Step\FaxStep;
use Meandros\Core\Plan\Step\ForwardStep;
use Meandros\Core\Plan\Step\GoStep;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Plan\Step\ParkStep;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Step\SayStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\Step\TagStep;
use Meandros\Core\Routing\Step\AgainWalker;
use Meandros\Core\Routing\Step\CallerWalker;
use Meandros\Core\Routing\Step\DirectoryWalker;
use Meandros\Core\Routing\Step\EndWalker;
use Meandros\Core\Routing\Step\FaxWalker;
use Meandros\Core\Routing\Step\ForwardWalker;
use Meandros\Core\Routing\Step\GoWalker;
use Meandros\Core\Routing\Step\HoursWalker;
use Meandros\Core\Routing\Step\MenuWalker;
use Meandros\Core\Routing\Step\MessageWalker;
use Meandros\Core\Routing\Step\ParkWalker;
use Meandros\Core\Routing\Step\QueueWalker;
use Meandros\Core\Routing\Step\RingWalker;
use Meandros\Core\Routing\Step\SayWalker;
use Meandros\Core\Routing\Step\TagWalker;

/** Which walker takes which kind of step: one for every kind in StepKinds. */
final class Walkers
{
    /** @var array<class-string<Step>, class-string<StepWalker>> */
    public const CLASSES = [
        SayStep::class => SayWalker::class,
        HoursStep::class => HoursWalker::class,
        CallerStep::class => CallerWalker::class,
        MenuStep::class => MenuWalker::class,
        DirectoryStep::class => DirectoryWalker::class,
        RingStep::class => RingWalker::class,
        QueueStep::class => QueueWalker::class,
        TagStep::class => TagWalker::class,
        MessageStep::class => MessageWalker::class,
        ForwardStep::class => ForwardWalker::class,
        ParkStep::class => ParkWalker::class,
        FaxStep::class => FaxWalker::class,
        AgainStep::class => AgainWalker::class,
        GoStep::class => GoWalker::class,
        EndStep::class => EndWalker::class,
    ];

    /** @var array<class-string<Step>, StepWalker> */
    private array $walkers = [];

    /**
     * @throws CallOver
     * @throws TimeUp
     */
    public function take(Step $step, Walk $walk): Onward
    {
        $class = self::CLASSES[$step::class];
        $walker = $this->walkers[$step::class] ??= new $class();

        return $walker->take($step, $walk);
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
