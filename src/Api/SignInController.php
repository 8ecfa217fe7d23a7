<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\SignIn;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\QueueMember;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Now;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Meandros\Server\Storage\SignIns;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Who is signed in to which queue: live state, effective at once. */
#[Route('/api/sign-ins')]
final readonly class SignInController
{
    private const WHO = 'demo';
    private const LOGGED = 50;

    public function __construct(private SignIns $signIns, private Plans $plans, private Now $now) {}

    #[Route('', methods: ['GET'])]
    public function list(): JsonResponse
    {
        return new JsonResponse(['signIns' => array_map(self::json(...), $this->signIns->all())]);
    }

    #[Route('/log', methods: ['GET'])]
    public function log(): JsonResponse
    {
        return new JsonResponse(['signIns' => array_map(self::json(...), $this->signIns->log(self::LOGGED))]);
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/{queue}/{person}', methods: ['PUT'])]
    public function set(string $queue, string $person, Request $request): JsonResponse
    {
        $members =
            $this->plans->get('draft')->get(Queue::class, $queue)->agents->members ??
            throw new NotFound(\sprintf('There is no queue "%s" in the plan.', Input::quote($queue)));
        if ([] === array_filter($members, static fn(QueueMember $member): bool => $member->who === $person)) {
            throw new NotFound(\sprintf('"%s" is no agent of that queue.', Input::quote($person)));
        }
        [$state, $reason] = JsonBody::read($request, static function (Input $in): array {
            $in->onlyFields(['state', 'reason']);
            /** @var SignIn $state */
            $state = $in->field('state')->oneOf(SignIn::class, SignIn::In);

            return [$state, $in->field('reason')->optionalText()];
        });
        $this->signIns->set($queue, $person, $state, $reason, self::WHO, $this->now->second());

        return $this->list();
    }

    /**
     * @param array{queue: string, person: string, state: string, reason: string, who: string, setAt: int} $row
     *
     * @return array<string, mixed>
     */
    private static function json(array $row): array
    {
        return ['setAt' => gmdate(\DATE_RFC3339, $row['setAt'])] + $row;
    }
}
