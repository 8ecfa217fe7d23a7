<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\EachNumber;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Server\Storage\ChangeLog;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** The same call to many numbers: how each is answered at one moment. */
final readonly class NumberAnswersController
{
    /** Numbers that are asked for at once. */
    private const MOST = 100;

    public function __construct(
        private Plans $plans,
        private Router $router,
        private Live $live,
        private ChangeLog $log,
    ) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/number-answers', methods: ['POST'])]
    public function answers(Request $request): JsonResponse
    {
        /** @var array{TrialCallRequest, list<string>} $read */
        $read = JsonBody::read($request, function (Input $in): array {
            $in->onlyFields(['call', 'numbers']);

            return [
                TrialCallRequest::from($in->field('call'), $this->plans),
                array_map(static fn(Input $id): string => $id->id(), $in->field('numbers')->items(self::MOST)),
            ];
        });
        [$asked, $ids] = $read;
        $live = $asked->inForce($this->live);
        $answers = [];
        foreach ($ids as $id) {
            $number = $asked->plan->get(Number::class, $id);
            if (null !== $number) {
                // What a block shows to lead to is where its free numbers do.
                $dialled = (EachNumber::toTarget($asked->plan, $number)[0] ?? $number)->range->example();
                $trace = $this->router->trace($asked->plan, $asked->call->to($dialled), $asked->assumptions, $live);
                $answers[$id] = [
                    'number' => $dialled,
                    'ending' => $trace->ending->kind->value,
                    'sentence' => AnswerSentence::of($trace, $asked->plan),
                    'seconds' => $trace->seconds,
                    'shown' => $trace->shown->label,
                ];
            }
        }

        $answer = ['answers' => (object) $answers];
        if ('draft' === $asked->which) {
            $answer['changes'] = (object) $this->log->lastOf($ids);
        }

        return new JsonResponse($answer);
    }
}
