<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Reading\Input;
use Meandros\Core\Script\MenuKeys;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** Scripts of menus, written from their keys. */
final readonly class MenuScriptController
{
    public function __construct(private Plans $plans) {}

    /** @throws NotFound */
    #[Route('/api/plans/{which}/journeys/{journey}/menus/{step}/script', methods: ['GET'])]
    public function write(string $which, string $journey, string $step): JsonResponse
    {
        $plan = $this->plans->get($which);
        $element = $plan->get(Journey::class, $journey);
        foreach (null === $element ? [] : MenuKeys::of($element, $plan) as $menu) {
            if ($menu->step->id() === $step) {
                $languages = array_keys($menu->prompt->scripts);

                return new JsonResponse([
                    'prompt' => $menu->prompt->id(),
                    'scripts' => (object) array_filter(
                        array_combine($languages, array_map($menu->written(...), $languages)),
                    ),
                ]);
            }
        }
        throw new NotFound(\sprintf('There is no menu "%s" with a prompt in that journey.', Input::quote($step)));
    }
}
