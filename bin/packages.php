<?php

declare(strict_types=1);

// The PHP packages that this program is made with, in packages.json: each at its exact version, with its source reference
// where the registry tells one, and with a digest of its PHP files, which says what a reference would:
//   php bin/packages.php write      after an update that was meant: notes what is installed (development packages too)
//   php bin/packages.php with       what to tell `composer update`, so that exactly those are installed
//   php bin/packages.php verify     whether exactly those are installed; exit status 1, and which are not, if they are not
// There is no composer.lock, for it would name the addresses that packages came from here.

const LIST_FILE = __DIR__.'/../packages.json';

/** Of all PHP files below a folder, by name and content. */
function digest(string $folder): string
{
    $files = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
        if ($file->isFile() && $file->getExtension() === 'php') {
            $files[substr($file->getPathname(), strlen($folder))] = hash_file('sha256', $file->getPathname());
        }
    }
    ksort($files, SORT_STRING);

    return hash('sha256', json_encode($files, JSON_THROW_ON_ERROR));
}

/** @return array<string, array{version: string, reference: ?string, files: string, dev: bool}> by name */
function installed(): array
{
    $file = __DIR__.'/../vendor/composer/installed.json';
    $read = is_file($file) ? json_decode((string) file_get_contents($file), true, 512, JSON_THROW_ON_ERROR) : ['packages' => [], 'dev-package-names' => []];
    $packages = [];
    foreach ($read['packages'] as $package) {
        $packages[$package['name']] = [
            'version' => $package['version'],
            'reference' => ($package['dist']['reference'] ?? $package['source']['reference'] ?? '') ?: null,
            'files' => digest(dirname($file).'/'.$package['install-path']),
            'dev' => in_array($package['name'], $read['dev-package-names'], true),
        ];
    }
    ksort($packages);

    return $packages;
}

/** @return array<string, array{version: string, reference: ?string, files: string, dev: bool}> by name */
function listed(): array
{
    return json_decode((string) file_get_contents(LIST_FILE), true, 512, JSON_THROW_ON_ERROR);
}

switch ($argv[1] ?? '') {
    case 'write':
        file_put_contents(LIST_FILE, json_encode(installed(), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n");
        echo count(installed())." packages noted in packages.json\n";
        break;
    case 'with':
        foreach (listed() as $name => $package) {
            echo "--with={$name}:{$package['version']}\n";
        }
        break;
    case 'verify':
        $faults = [];
        $installed = installed();
        foreach ($installed as $name => $package) {
            $meant = listed()[$name] ?? null;
            if ($meant === null) {
                $faults[] = "{$name} {$package['version']} is installed and not in packages.json";
            } elseif ($meant['version'] !== $package['version']) {
                $faults[] = "{$name} is {$package['version']}, not {$meant['version']}";
            } elseif ($meant['files'] !== $package['files'] || ($meant['reference'] ?? $package['reference']) !== ($package['reference'] ?? $meant['reference'])) {
                $faults[] = "{$name} {$package['version']} is not what was noted: its files, or its source, are others";
            }
        }
        foreach (listed() as $name => $package) {
            if (! isset($installed[$name]) && (! $package['dev'] || in_array('--dev', $argv, true))) {
                $faults[] = "{$name} {$package['version']} is missing";
            }
        }
        foreach ($faults as $fault) {
            fwrite(STDERR, $fault."\n");
        }
        exit($faults === [] ? 0 : 1);
    default:
        fwrite(STDERR, "Usage: php bin/packages.php write|with|verify [--dev]\n");
        exit(2);
}
