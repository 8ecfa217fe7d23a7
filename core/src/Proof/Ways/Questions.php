<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Proof\Ways\Question\CallbackStands;
use Meandros\Core\Proof\Ways\Question\Directories;
use Meandros\Core\Proof\Ways\Question\FaxCalls;
use Meandros\Core\Proof\Ways\Question\KeysHeeded;
use Meandros\Core\Proof\Ways\Question\MenuKeys;
use Meandros\Core\Proof\Ways\Question\NameChosen;
use Meandros\Core\Proof\Ways\Question\NameKeys;
use Meandros\Core\Proof\Ways\Question\NumberOutside;
use Meandros\Core\Proof\Ways\Question\ParkedCall;
use Meandros\Core\Proof\Ways\Question\PhonesRing;
use Meandros\Core\Proof\Ways\Question\QueueStands;
use Meandros\Core\Proof\Ways\Question\Reachable;
use Meandros\Core\Proof\Ways\Question\RoundsRing;
use Meandros\Core\Routing\Happening;
use Meandros\Core\Routing\Heeded;
use Meandros\Core\Routing\HungUp;

/** What is open at whatever happens; null where nothing is. */
final class Questions
{
    /** @var array<class-string, class-string<Question>|null> */
    public const CLASSES = [
        Heeded::class => KeysHeeded::class,
        HungUp::class => CallbackStands::class,
        Happening\Asked::class => MenuKeys::class,
        Happening\AskedAgain::class => null,
        Happening\CallbackClosed::class => null,
        Happening\CallbackOffered::class => null,
        Happening\CallbackTaken::class => null,
        Happening\CallbackTried::class => null,
        Happening\CallerToldApart::class => null,
        Happening\CodeDialled::class => null,
        Happening\ComesBackIn::class => null,
        Happening\Dialled::class => null,
        Happening\ExtensionDialled::class => null,
        Happening\FaxLookedFor::class => FaxCalls::class,
        Happening\HoursRead::class => null,
        Happening\KeyMeanwhile::class => null,
        Happening\LeftByKey::class => null,
        Happening\MessageTaken::class => null,
        Happening\MusicBegins::class => null,
        Happening\NameSpelled::class => NameKeys::class,
        Happening\NamesRead::class => NameChosen::class,
        Happening\NoticeSent::class => null,
        Happening\Over::class => null,
        Happening\ParkedAt::class => ParkedCall::class,
        Happening\PlaceTold::class => null,
        Happening\QueueEntered::class => QueueStands::class,
        Happening\Ringing::class => PhonesRing::class,
        Happening\Said::class => null,
        Happening\SentOn::class => NumberOutside::class,
        Happening\SignedByCode::class => null,
        Happening\SignedOutForMissing::class => null,
        Happening\Tagged::class => null,
        Happening\TriesAgain::class => RoundsRing::class,
        Happening\WaitedInVain::class => null,
        Happening\Went::class => null,
        Happening\WordHeard::class => null,
    ];

    /** @var array<class-string, Question> */
    private array $made = [];
    private readonly Directories $directories;

    public function __construct(private readonly Reachable $reachable)
    {
        $this->directories = new Directories($reachable);
    }

    public function of(Happening\Happening|Heeded|HungUp $what): ?Question
    {
        $class = self::CLASSES[$what::class] ?? null;

        return null === $class ? null : ($this->made[$class] ??= $this->make($class));
    }

    /** @param class-string<Question> $class */
    private function make(string $class): Question
    {
        return match ($class) {
            MenuKeys::class => new MenuKeys($this->reachable),
            NameKeys::class => new NameKeys($this->directories),
            NameChosen::class => new NameChosen($this->directories),
            default => new $class(),
        };
    }
}
