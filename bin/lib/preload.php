<?php

declare(strict_types=1);

/* Run once when php-fpm starts: what requests use is loaded and linked beforehand, and kept for all of them. */

// Libraries of earlier days are loaded as well as they can.
error_reporting(error_reporting() & ~E_DEPRECATED);
$root = dirname(__DIR__, 2);
require $root.'/vendor/autoload.php';
foreach ([$root.'/core/src' => 'Meandros\\Core\\', $root.'/src' => 'Meandros\\Server\\'] as $folder => $namespace) {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
        $class = $namespace.strtr(substr((string) $file, strlen($folder) + 1, -4), '/', '\\');
        if (str_ends_with((string) $file, '.php') && !str_contains($class, '\\Cli\\') && !str_contains($class, '\\Command\\')) {
            class_exists($class) || interface_exists($class) || trait_exists($class) || enum_exists($class);
        }
    }
}
// Symfony lists what its container uses.
foreach (glob($root.'/var/cache/prod-'.get_cfg_var('meandros.build').'/*.preload.php') ?: [] as $list) {
    require $list;
}
