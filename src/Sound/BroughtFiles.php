<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;

/** Recordings that came in together: single files, and what archives hold. */
final readonly class BroughtFiles
{
    private const MOST = 500;

    public function __construct(private Uploads $uploads) {}

    /** @return list<array{upload: string, name: string}> */
    public function read(Input $in): array
    {
        $files = [];
        foreach ($in->items(self::MOST) as $item) {
            $item->onlyFields(['upload', 'name']);
            $upload = $item->field('upload')->exactText(32);
            if (null === $this->uploads->size($upload)) {
                $item->field('upload')->complain('upload-gone');
            }
            $files[] = ['upload' => $upload, 'name' => $item->field('name')->text(300)];
        }

        return $files;
    }

    /**
     * @param list<array{upload: string, name: string}>      $files
     * @param \Closure(string, \Closure(string): void): void $each  is told the name of each recording, and how to write it into a file
     *
     * @throws InvalidData
     */
    public function each(array $files, \Closure $each): void
    {
        foreach ($files as ['upload' => $upload, 'name' => $name]) {
            Tools::inFolder(function (string $folder) use ($upload, $name, $each): void {
                $path = $folder . '/in';
                $this->uploads->write($upload, $path);
                if (!Archive::is($path)) {
                    $each($name, static function (string $to) use ($path): void {
                        copy($path, $to);
                    });

                    return;
                }
                $archive = Archive::open($path, $name);
                foreach ($archive->names() as $entry) {
                    $each($entry, static function (string $to) use ($archive, $entry): void {
                        $archive->extract($entry, $to);
                    });
                }
            });
        }
    }
}
