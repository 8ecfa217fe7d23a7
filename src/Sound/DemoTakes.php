<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\ReadFrom;
use Meandros\Core\Plan\Element\ScriptPart;
use Meandros\Core\Plan\Element\Take;
use Meandros\Core\Plan\Element\TakeOrigin;
use Meandros\Core\Plan\Plan;

/** Takes of a sample plan: read by other speakers of the machine, so that no recording is kept with the program. */
final readonly class DemoTakes
{
    public function __construct(private Sounds $sounds) {}

    /**
     * @param string $file a list of takes: prompt, language, speaker, voice, at, note, words where they are others than the
     *                     script's, use where callers hear it
     */
    public function into(Plan $plan, string $file): Plan
    {
        /** @var list<array{prompt: string, language: string, speaker: string, voice: string, at: string, note: string, words?: string, use?: bool}> $takes */
        $takes = json_decode((string) file_get_contents($file), true, 8, \JSON_THROW_ON_ERROR);
        foreach ($takes as $i => $one) {
            $prompt = $plan->get(Prompt::class, $one['prompt']);
            $words = $one['words'] ?? ($prompt->scripts[$one['language']] ?? '');
            $wav = (new EspeakSpeech($one['speaker']))->speak($words, $one['language']);
            if (null === $prompt || null === $wav) {
                throw new \UnexpectedValueException(\sprintf('Take %d of %s cannot be made.', $i, $file));
            }
            $take = new Take(
                'take_' . ($i + 1),
                new ScriptPart($one['language']),
                $this->sounds->keep($wav),
                new ReadFrom($words),
                new TakeOrigin($one['voice'], 'demo', $one['at'], $one['note']),
            );
            $plan = $plan->with($prompt->withSounds($prompt->sounds->withTake($take, true === ($one['use'] ?? false))));
        }

        return $plan;
    }
}
