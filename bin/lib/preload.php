<?php

declare(strict_types=1);

/* Run once when php-fpm starts: what requests use is loaded and linked beforehand, and kept for all of them. */

// Libraries of earlier days are loaded as well as they can.
error_reporting(error_reporting() & ~E_DEPRECATED);
$root = dirname(__DIR__, 2);
require $root.'/vendor/autoload.php';
$folders = [
    $root.'/core/src' => 'Meandros\\Core\\', $root.'/src' => 'Meandros\\Server\\',
    // Of the database layer, what PostgreSQL needs.
    ...array_combine(
        array_map(static fn (string $part): string => $root.'/vendor/doctrine/dbal/src/'.strtr($part, '\\', '/'), $parts = ['Driver\\API\\PostgreSQL', 'Driver\\PDO', 'Driver\\Middleware', 'Cache', 'Connection', 'SQL', 'Types', 'Exception']),
        array_map(static fn (string $part): string => 'Doctrine\\DBAL\\'.$part.'\\', $parts),
    ),
];
foreach ($folders as $folder => $namespace) {
    foreach (is_dir($folder) ? new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) : [] as $file) {
        $class = $namespace.strtr(substr((string) $file, strlen($folder) + 1, -4), '/', '\\');
        if (str_ends_with((string) $file, '.php') && !str_contains($class, '\\Cli\\') && !str_contains($class, '\\Command\\')) {
            class_exists($class) || interface_exists($class) || trait_exists($class) || enum_exists($class);
        }
    }
}
foreach (glob($root.'/vendor/giggsey/libphonenumber-for-php/src/*.php') ?: [] as $file) {
    class_exists($class = 'libphonenumber\\'.basename($file, '.php')) || interface_exists($class) || trait_exists($class);
}
foreach (['Connection', 'DriverManager', 'Configuration', 'Statement', 'Result', 'Query', 'ParameterType', 'ArrayParameterType', 'ArrayParameters\\Exception', 'ExpandArrayParameters', 'TransactionIsolationLevel', 'Platforms\\PostgreSQLPlatform', 'Tools\\DsnParser', 'Driver\\AbstractPostgreSQLDriver'] as $name) {
    class_exists('Doctrine\\DBAL\\'.$name) || interface_exists('Doctrine\\DBAL\\'.$name);
}
// Symfony lists what its container uses.
foreach (glob($root.'/var/cache/prod-'.get_cfg_var('meandros.build').'/*.preload.php') ?: [] as $list) {
    require $list;
}
