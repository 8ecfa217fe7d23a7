<?php

declare(strict_types=1);

namespace Meandros\Server;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** How long is looked on while somebody waits. MEANDROS_PATIENCE, a factor, makes it longer on a slow machine. */
final readonly class Patience
{
    /** Of the time there is, after which it is plain how long all of it takes. */
    private const PLAIN_AFTER = 0.1;

    public function __construct(#[Autowire('%env(float:MEANDROS_PATIENCE)%')] private float $times) {}

    /** @return \Closure(): bool whether somebody who has waited since now goes on waiting */
    public function for(float $seconds): \Closure
    {
        $end = microtime(true) + $seconds * $this->times;

        return static fn(): bool => microtime(true) < $end;
    }

    /**
     * Of work that is of no use unless all of it is done: nobody is kept waiting once it is plain that it takes twice the time.
     *
     * @return \Closure(int, int): bool told how many parts are done, and of how many; whether to go on
     */
    public function forAll(float $seconds): \Closure
    {
        [$begun, $most] = [microtime(true), $seconds * $this->times];

        return static function (int $done, int $of) use ($begun, $most): bool {
            $took = microtime(true) - $begun;

            return $took < $most && ($took < self::PLAIN_AFTER * $most || $took * $of < 2 * $most * $done);
        };
    }
}
