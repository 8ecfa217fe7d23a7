<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\Pin;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Now;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Pins;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** PINs of mailboxes: live state, effective at once. */
#[Route('/api/pins')]
final readonly class PinController
{
    private const WHO = 'demo';

    public function __construct(private Pins $pins, private Plans $plans, private Now $now) {}

    /** Which mailboxes have one; what it is, nobody is told. */
    #[Route('', methods: ['GET'])]
    public function list(): JsonResponse
    {
        return new JsonResponse(['mailboxes' => $this->pins->all()]);
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/{mailbox}', methods: ['PUT'])]
    public function set(string $mailbox, Request $request): JsonResponse
    {
        $plan = $this->plans->get('draft');
        $element = $plan->get(Mailbox::class, $mailbox);
        if (null === $element) {
            throw new NotFound(\sprintf('There is no mailbox "%s" in the draft.', Input::quote($mailbox)));
        }
        $extensions = array_map(
            static fn(string $owner): string => $plan->get(Person::class, $owner)->known->extension ?? '',
            $element->owners,
        );
        $pin = JsonBody::read($request, static function (Input $in) use ($extensions): ?string {
            $in->onlyFields(['pin']);
            $pin = $in->field('pin');

            return $pin->isNamed() && !$pin->isGiven() ? null : Pin::read($pin, $extensions);
        });
        $this->pins->set($mailbox, $pin, self::WHO, $this->now->second());

        return $this->list();
    }
}
