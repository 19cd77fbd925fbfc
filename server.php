<?php

/*
 * For PHP's own server alone, which `bin/start` uses: a web server in front does this by its configuration (docs/operating.md). Files
 * that were built have their contents in their names, so they are kept for good; they lie beside themselves compressed.
 */
declare(strict_types=1);

$public = __DIR__.'/public';
$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));

if (preg_match('#^/build/assets/[\w.-]+$#D', $path) === 1 && is_file($public.$path)) {
    $accepted = (string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? '');
    [$coding, $ending] = match (true) {
        preg_match('/\bbr\b/', $accepted) === 1 && is_file("{$public}{$path}.br") => ['br', '.br'],
        preg_match('/\bgzip\b/', $accepted) === 1 && is_file("{$public}{$path}.gz") => ['gzip', '.gz'],
        default => [null, ''],
    };
    $types = ['js' => 'text/javascript', 'css' => 'text/css', 'woff2' => 'font/woff2', 'json' => 'application/json', 'svg' => 'image/svg+xml'];
    header('Content-Type: '.($types[pathinfo($path, PATHINFO_EXTENSION)] ?? 'application/octet-stream'));
    header('Cache-Control: public, max-age=31536000, immutable');
    header('Vary: Accept-Encoding');
    $tag = '"'.basename($path).$ending.'"';
    header("ETag: {$tag}");
    header('X-Content-Type-Options: nosniff');
    // A list of tags, each perhaps marked as weak: quotes keep one from being found within another.
    if (str_contains((string) ($_SERVER['HTTP_IF_NONE_MATCH'] ?? ''), $tag)) {
        http_response_code(304);

        return true;
    }
    if ($coding !== null) {
        header("Content-Encoding: {$coding}");
    }
    header('Content-Length: '.filesize($public.$path.$ending));
    readfile($public.$path.$ending);

    return true;
}
if ($path !== '/' && is_file($public.$path) && ! str_ends_with($path, '.php')) {
    return false;
}

require $public.'/index.php';
