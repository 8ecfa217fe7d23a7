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
use Meandros\Core\Reading\Problem;
use Meandros\Core\Recording\FileNames;
use Meandros\Server\Now;
use Meandros\Server\Sound\BroughtFiles;
use Meandros\Server\Sound\SoundFile;
use Meandros\Server\Sound\Sounds;
use Meandros\Server\Sound\Tools;
use Meandros\Server\Sound\Uploads;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\PlannedEdit;

/** Makes takes of many files, each for the prompt that its name says, as one edit. */
final readonly class MakeTakes implements JobKind
{
    public const NAME = 'takes';

    public function __construct(
        private Draft $draft,
        private BroughtFiles $brought,
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
        /** @var array{files: list<array{upload: string, name: string}>, count: int, trim: bool, leaveOut: bool} $input */
        $plan = $this->draft->plan();
        $names = FileNames::of($plan);
        $loudness = $plan->settings()->loudness;
        $takes = $problems = [];
        $done = 0;
        $this->brought->each($input['files'], function (string $name, \Closure $write) use (
            $plan,
            $names,
            $input,
            $progress,
            $loudness,
            &$takes,
            &$problems,
            &$done,
        ): void {
            $found = $names->find($name);
            $prompt = null === $found ? null : $plan->get(Prompt::class, $found[0]);
            if (null === $found || null === $prompt) {
                return;
            }
            $tell = static fn() => $progress->at($done, $input['count']);
            try {
                $takes[] = [
                    $prompt->id(),
                    $this->take($prompt, $found[1], $name, $write, $input['trim'], $loudness, $tell),
                ];
            } catch (InvalidData $invalid) {
                array_push($problems, ...$invalid->problems);
            }
            ++$done;
        });
        if ([] !== $problems && !$input['leaveOut']) {
            throw new InvalidData($problems);
        }
        $change = $this->draft->writeAll(static fn(Plan $plan): PlannedEdit => self::edit($plan, $takes));
        foreach ($input['files'] as $file) {
            $this->uploads->drop($file['upload']);
        }

        return [
            'takes' => \count($takes),
            'label' => $change->label,
            'leftOut' => array_map(static fn(Problem $one): string => $one->code, $problems),
        ];
    }

    /**
     * @param \Closure(string): void $write
     * @param \Closure(): void       $tell
     *
     * @throws InvalidData
     */
    private function take(
        Prompt $prompt,
        ScriptPart $part,
        string $name,
        \Closure $write,
        bool $trim,
        int $loudness,
        \Closure $tell,
    ): Take {
        [$wav, $measures] = Tools::inFolder(static function (string $folder) use (
            $name,
            $write,
            $trim,
            $loudness,
            $tell,
        ): array {
            $write($folder . '/in');

            return (new SoundFile($folder . '/in', basename($name)))->take($trim, $loudness, $tell);
        });

        return new Take(
            'take_' . bin2hex(random_bytes(6)),
            $part,
            $this->sounds->keep($wav),
            new ReadFrom($part->words),
            new TakeOrigin($prompt->voice, 'demo', gmdate('Y-m-d\TH:i:s\Z', $this->now->second()), basename($name)),
            $measures,
        );
    }

    /** @param list<array{string, Take}> $takes with their prompts */
    private static function edit(Plan $plan, array $takes): PlannedEdit
    {
        $prompts = [];
        foreach ($takes as [$id, $take]) {
            $prompts[$id] = MakeTake::added($prompts[$id] ?? $plan->get(Prompt::class, $id), $take, true);
        }

        return PlannedEdit::of(
            1 === \count($takes) ? 'Bring in a take' : \sprintf('Bring in %d takes', \count($takes)),
            array_values($prompts),
        );
    }
}
