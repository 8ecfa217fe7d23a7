<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\ReadFrom;
use Meandros\Core\Plan\Element\ScriptPart;
use Meandros\Core\Plan\Element\Take;
use Meandros\Core\Plan\Element\TakeOrigin;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Server\Now;
use Meandros\Server\Sound\SoundFile;
use Meandros\Server\Sound\Sounds;
use Meandros\Server\Sound\Tools;
use Meandros\Server\Sound\Uploads;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\PlannedEdit;

/** Makes a take of a file that came in, as one edit of its prompt. */
final readonly class MakeTake implements JobKind
{
    public const NAME = 'take';
    /** Looking, measuring, converting. */
    private const PARTS = 3;

    public function __construct(
        private Draft $draft,
        private Uploads $uploads,
        private Sounds $sounds,
        private Now $now,
    ) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function run(array $input, Progress $progress): array
    {
        $text = static fn(string $name): string => \is_string($input[$name] ?? null) ? $input[$name] : '';
        if (null === $this->uploads->size($text('upload'))) {
            throw InvalidData::at('/upload', 'upload-gone');
        }
        $progress->at(0, self::PARTS);
        [$wav, $measures] = Tools::inFolder(function (string $folder) use ($input, $text, $progress): array {
            $this->uploads->write($text('upload'), $folder . '/in');

            return (new SoundFile($folder . '/in', $text('name')))->take(
                true === ($input['trim'] ?? null),
                $this->draft->plan()->settings()->loudness,
                static fn() => $progress->at(1, self::PARTS),
            );
        });
        $take = new Take(
            'take_' . bin2hex(random_bytes(6)),
            new ScriptPart($text('language'), \is_int($input['part'] ?? null) ? $input['part'] : 1),
            $this->sounds->keep($wav),
            new ReadFrom($text('words')),
            new TakeOrigin($text('voice'), 'demo', gmdate('Y-m-d\TH:i:s\Z', $this->now->second()), $text('note')),
            $measures,
        );
        $change = $this->draft->writeAll(
            static fn(Plan $plan): PlannedEdit => self::edit($plan, $text('prompt'), $take, true === $input['use']),
        );
        $this->uploads->drop($text('upload'));

        return ['take' => $take->id, 'prompt' => $text('prompt'), 'label' => $change->label];
    }

    private static function edit(Plan $plan, string $prompt, Take $take, bool $use): PlannedEdit
    {
        $element = self::added($plan->get(Prompt::class, $prompt), $take, $use);

        return PlannedEdit::of(\sprintf('Add a take of %s', $element->name()), [$element]);
    }

    /** @throws InvalidData where the prompt is gone, or has as many takes as it may have */
    public static function added(?Prompt $prompt, Take $take, bool $use): Prompt
    {
        if (null === $prompt) {
            throw InvalidData::at('/prompt', 'prompt-gone');
        }
        if (\count($prompt->sounds->takes) >= Limits::TAKES) {
            throw InvalidData::at('/prompt', 'takes-too-many', ['most' => Limits::TAKES]);
        }

        return $prompt->withSounds($prompt->sounds->withTake($take, $use));
    }
}
