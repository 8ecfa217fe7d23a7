<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

/** Tests that work on files: each in a folder of its own. */
trait InAFolder
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir() . '/meandros-test-' . bin2hex(random_bytes(4));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob($this->folder . '/*') ?: []);
        rmdir($this->folder);
        parent::tearDown();
    }
}
