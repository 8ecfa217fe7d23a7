<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Routing\AnswerChange;
use Meandros\Core\Routing\Router;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use PHPUnit\Framework\TestCase;

final class AnswerChangeTest extends TestCase
{
    public function testTheNextAndThePreviousChangeAreExactToTheSecond(): void
    {
        self::assertSame(
            '2026-11-23T16:59:56+00:00',
            self::next('2026-11-23T10:00'),
            'The prompt of 4 s brings the call to the hours at 17:00.',
        );
        self::assertSame('2026-11-24T08:59:56+00:00', self::next('2026-11-23T16:59:56'));
        self::assertSame('2026-11-23T08:59:56+00:00', self::previous('2026-11-23T10:00'));
        self::assertSame('2026-11-23T16:59:56+00:00', self::previous('2026-11-24T08:59:56'));
    }

    public function testAChangeOfStateThatChangesNothingForTheCallIsPassedOver(): void
    {
        // Lunch has no exit: callers notice nothing at 12:00 and 13:00.
        self::assertSame('2026-11-25T16:59:56+00:00', self::next('2026-11-25T10:00'));
    }

    public function testEveryInstantUpToTheNextChangeFaresTheSame(): void
    {
        $plan = self::plan();
        $router = new Router();
        $trial = PlanBuilder::trial('2026-11-25T08:00');
        for ($i = 0; $i < 12; ++$i) {
            $next = (new AnswerChange($router))->next($plan, $trial, new Assumptions());
            self::assertNotNull($next);
            $answer = $router->trace($plan, $trial, new Assumptions())->signature();
            for ($instant = $trial->instant; $instant < $next; $instant += 601) {
                self::assertSame($answer, $router->trace($plan, $trial->at($instant), new Assumptions())->signature());
            }
            self::assertSame($answer, $router->trace($plan, $trial->at($next - 1), new Assumptions())->signature());
            self::assertNotSame($answer, $router->trace($plan, $trial->at($next), new Assumptions())->signature());
            self::assertSame(
                $next,
                (new AnswerChange($router))->previous($plan, $trial->at($next + 1), new Assumptions()),
            );
            $trial = $trial->at($next);
        }
    }

    public function testAPlanWithoutHoursNeverChanges(): void
    {
        $plan = (new PlanBuilder())->journey('jrn_main', [['id' => 'end', 'do' => 'end']])->plan();
        self::assertNull(
            (new AnswerChange(new Router()))->next($plan, PlanBuilder::trial('2026-11-23T10:00'), new Assumptions()),
        );
    }

    private static function next(string $at): string
    {
        return Moment::format(
            (int) (new AnswerChange(new Router()))->next(self::plan(), PlanBuilder::trial($at), new Assumptions()),
            'Europe/London',
        );
    }

    private static function previous(string $at): string
    {
        return Moment::format(
            (int) (new AnswerChange(new Router()))->previous(self::plan(), PlanBuilder::trial($at), new Assumptions()),
            'Europe/London',
        );
    }

    private static function plan(): Plan
    {
        return (new PlanBuilder())
            ->prompt('prm_hello', 4)
            ->hours('hrs', [
                ['days' => ['mo', 'tu'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open'],
                ['days' => ['we'], 'from' => '09:00', 'to' => '12:00', 'state' => 'open'],
                ['days' => ['we'], 'from' => '12:00', 'to' => '13:00', 'state' => 'lunch'],
                ['days' => ['we'], 'from' => '13:00', 'to' => '17:00', 'state' => 'open'],
            ])
            ->journey('jrn_main', [
                ['id' => 'hello', 'do' => 'say', 'prompt' => 'prm_hello'],
                [
                    'id' => 'look',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [['on' => 'closed', 'label' => '', 'steps' => [['id' => 'end', 'do' => 'end']]]],
                ],
                ['id' => 'more', 'do' => 'say', 'prompt' => 'prm_hello'],
            ])
            ->plan();
    }
}
