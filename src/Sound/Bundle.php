<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;

/** A plan with its sounds in one ZIP: plan.json, and sounds by their SHA-256. */
final readonly class Bundle
{
    private const PLAN = 'plan.json';
    private const MOST_PLAN_BYTES = 8_000_000;

    public function __construct(private Sounds $sounds, private Uploads $uploads) {}

    /** Writes the file; a sound that is not here is left out. */
    public function write(Plan $plan, string $path): void
    {
        Tools::inFolder(function (string $folder) use ($plan, $path): void {
            $zip = new \ZipArchive();
            $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
            $zip->addFromString(self::PLAN, PlanCodec::encode($plan, true));
            foreach (array_keys(self::sounds($plan)) as $sha256) {
                $bytes = $this->sounds->read((string) $sha256);
                if ('' !== $bytes) {
                    // From a file: what is added as a text stays in memory until the end.
                    file_put_contents("$folder/$sha256", $bytes);
                    $zip->addFile("$folder/$sha256", self::entry((string) $sha256));
                    // Sound hardly gets smaller.
                    $zip->setCompressionName(self::entry((string) $sha256), \ZipArchive::CM_STORE);
                }
            }
            $zip->close();
        });
    }

    /**
     * A bundle that came in, checked as a whole; its sounds are kept if they are wanted.
     *
     * @throws InvalidData
     */
    public function read(string $upload, bool $keep): Plan
    {
        if (null === $this->uploads->size($upload)) {
            throw InvalidData::at('/upload', 'upload-gone');
        }

        return Tools::inFolder(function (string $folder) use ($upload, $keep): Plan {
            $this->uploads->write($upload, $folder . '/in.zip');
            $archive = Archive::open($folder . '/in.zip', 'the bundle');
            if (!\in_array(self::PLAN, $archive->names(), true)) {
                throw InvalidData::at('/upload', 'bundle-without-plan');
            }
            $archive->extract(self::PLAN, $folder . '/plan.json');
            if (filesize($folder . '/plan.json') > self::MOST_PLAN_BYTES) {
                throw InvalidData::at('/upload', 'file-too-large', ['most' => intdiv(self::MOST_PLAN_BYTES, 1000)]);
            }
            $plan = PlanCodec::decode((string) file_get_contents($folder . '/plan.json'));
            $this->check($plan, $archive, $folder, false);
            $keep && $this->check($plan, $archive, $folder, true);

            return $plan;
        });
    }

    /**
     * @param bool $keep whether the sounds are kept; they were looked at before
     *
     * @throws InvalidData
     */
    private function check(Plan $plan, Archive $archive, string $folder, bool $keep): void
    {
        $here = array_flip($archive->names());
        $problems = [];
        foreach (self::sounds($plan) as $sha256 => [$caption, $isTake]) {
            $sha256 = (string) $sha256;
            if (!isset($here[self::entry($sha256)])) {
                // What the machine reads it can read again.
                if ($isTake && null === $this->sounds->size($sha256)) {
                    $problems[] = new Problem('/upload', 'bundle-lacks-sound', ['caption' => $caption]);
                }
                continue;
            }
            $archive->extract(self::entry($sha256), $folder . '/sound.wav');
            $bytes = (string) file_get_contents($folder . '/sound.wav');
            try {
                $wav = Wav::of($bytes);
            } catch (\UnexpectedValueException) {
                $wav = null;
            }
            if (null === $wav || $wav->sha256() !== $sha256) {
                $problems[] = new Problem('/upload', 'bundle-sound-differs', ['caption' => $caption]);
            } elseif ($keep) {
                $this->sounds->keep($wav);
            }
        }
        if ([] !== $problems) {
            throw new InvalidData($problems);
        }
    }

    /** @return array<string, array{string, bool}> the caption, and whether it is a take, by SHA-256 */
    private static function sounds(Plan $plan): array
    {
        $sounds = [];
        foreach ($plan->all(Prompt::class) as $prompt) {
            foreach ($prompt->sounds->machine as $reading) {
                $sounds[$reading->sound->sha256] ??= [$prompt->name(), false];
            }
            foreach ($prompt->sounds->takes as $take) {
                $sounds[$take->sound->sha256] = [$prompt->name(), true];
            }
        }

        return $sounds;
    }

    private static function entry(string $sha256): string
    {
        return 'sounds/' . $sha256 . '.wav';
    }
}
