<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Meandros\Core\Reading\InvalidData;

/** A ZIP of recordings, read entry by entry: nothing is unpacked by its own name, and nothing is believed of its sizes. */
final class Archive
{
    private const MOST_FILES = 500;
    private const MOST_BYTES = 400_000_000;
    private const PART = 262_144;

    private int $read = 0;

    private function __construct(private readonly \ZipArchive $zip, private readonly string $name) {}

    /** @throws InvalidData when it cannot be opened, or holds too much */
    public static function open(string $path, string $name): self
    {
        $zip = new \ZipArchive();
        if (true !== $zip->open($path, \ZipArchive::RDONLY)) {
            throw InvalidData::at('/files', 'archive-unreadable', ['name' => $name]);
        }
        if ($zip->numFiles > self::MOST_FILES) {
            throw InvalidData::at('/files', 'archive-too-many', ['name' => $name, 'most' => self::MOST_FILES]);
        }

        return new self($zip, $name);
    }

    /** Whether it begins as a ZIP does. */
    public static function is(string $path): bool
    {
        return str_starts_with((string) file_get_contents($path, false, null, 0, 4), "PK\x03\x04");
    }

    /** @return list<string> its files, without folders and what systems add to them */
    public function names(): array
    {
        $names = [];
        for ($i = 0; $i < $this->zip->numFiles; ++$i) {
            $name = (string) $this->zip->getNameIndex($i);
            if (
                !str_ends_with($name, '/') &&
                !str_contains($name, '__MACOSX/') &&
                !str_starts_with(basename($name), '.')
            ) {
                $names[] = $name;
            }
        }

        return $names;
    }

    /**
     * Writes what an entry holds into a file of ours.
     *
     * @throws InvalidData when it cannot be read, or all of them together are too much
     */
    public function extract(string $entry, string $path): void
    {
        $in = $this->zip->getStream($entry);
        $out = fopen($path, 'w');
        if (false === $in || false === $out) {
            throw InvalidData::at('/files', 'archive-unreadable', ['name' => $this->name]);
        }
        $size = 0;
        while (!feof($in)) {
            $bytes = (string) fread($in, self::PART);
            $size += \strlen($bytes);
            $this->read += \strlen($bytes);
            if ($size > Uploads::MOST_BYTES || $this->read > self::MOST_BYTES) {
                throw InvalidData::at('/files', 'archive-too-large', ['name' => $this->name]);
            }
            fwrite($out, $bytes);
        }
        fclose($in);
        fclose($out);
    }
}
