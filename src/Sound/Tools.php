<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** Programs that work on sound: run on files, never through a shell, with limits of time and memory. */
final class Tools
{
    private const SECONDS = 60;
    private const BYTES = 2_000_000_000;

    /**
     * @param non-empty-list<string>  $command
     * @param (\Closure(): void)|null $meanwhile is called now and then; what it throws ends the program
     *
     * @throws ToolFailed
     */
    public static function run(array $command, string $input = '', ?\Closure $meanwhile = null): ToolOutput
    {
        $process = new Process(
            ['prlimit', '--as=' . self::BYTES, '--cpu=' . self::SECONDS, '--core=0', '--', ...$command],
            sys_get_temp_dir(),
            // Programs say in English what they have to say, and nothing of ours is theirs to know.
            array_fill_keys(array_keys(getenv()), false) + [
                'LC_ALL' => 'C',
                'PATH' => '/usr/bin:/bin',
                'HOME' => sys_get_temp_dir(),
            ],
            $input,
            self::SECONDS,
        );
        try {
            $process->start();
            while ($process->isRunning()) {
                $process->checkTimeout();
                null === $meanwhile || $meanwhile();
                usleep(5_000);
            }
        } catch (ProcessTimedOutException) {
            throw new ToolFailed($command[0], 'it took too long');
        } finally {
            $process->stop(0);
        }
        $said = $process->getErrorOutput();
        if (!$process->isSuccessful()) {
            throw new ToolFailed($command[0], trim($said));
        }

        return new ToolOutput($process->getOutput(), $said);
    }

    /**
     * Work on files that are gone afterwards.
     *
     * @template T
     *
     * @param \Closure(string): T $work is given the folder
     *
     * @return T
     */
    public static function inFolder(\Closure $work): mixed
    {
        $folder = sys_get_temp_dir() . '/meandros-' . bin2hex(random_bytes(8));
        mkdir($folder, 0700);
        try {
            return $work($folder);
        } finally {
            array_map(unlink(...), glob($folder . '/*') ?: []);
            rmdir($folder);
        }
    }
}
