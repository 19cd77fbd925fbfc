<?php

declare(strict_types=1);

/*
 * A stand-in for a store that speaks S3, as far as files of a school need it: put, get (parts of it too), head, delete, list. Objects lie in
 * the folder that OBJECTS names. Nothing is signed, and nobody is kept out.
 *   OBJECTS=FOLDER php -S 127.0.0.1:PORT tests/object-store.php
 */

$folder = (string) getenv('OBJECTS');
$path = rawurldecode((string) parse_url($_SERVER['REQUEST_URI'], PHP_URL_PATH));
$key = explode('/', ltrim($path, '/'), 2)[1] ?? '';
// One name for each, whatever stands in the key.
$file = $folder.'/'.bin2hex($key);
parse_str((string) parse_url($_SERVER['REQUEST_URI'], PHP_URL_QUERY), $query);

$notThere = static function () use ($key): void {
    http_response_code(404);
    header('Content-Type: application/xml');
    if ($_SERVER['REQUEST_METHOD'] !== 'HEAD') {
        echo '<?xml version="1.0"?><Error><Code>NoSuchKey</Code><Message>It is not there.</Message><Key>'.htmlspecialchars($key).'</Key></Error>';
    }
};
switch ($_SERVER['REQUEST_METHOD']) {
    case 'PUT':
        file_put_contents("{$file}.part", fopen('php://input', 'rb'));
        rename("{$file}.part", $file);
        header('ETag: "'.md5_file($file).'"');
        break;
    case 'DELETE':
        is_file($file) && unlink($file);
        http_response_code(204);
        break;
    case 'POST':
        // Several that are to go at once.
        foreach (simplexml_load_string((string) file_get_contents('php://input'))->Object ?? [] as $object) {
            $gone = $folder.'/'.bin2hex((string) $object->Key);
            is_file($gone) && unlink($gone);
        }
        header('Content-Type: application/xml');
        echo '<?xml version="1.0"?><DeleteResult/>';
        break;
    case 'GET':
        if ($key === '') {
            $prefix = is_string($query['prefix'] ?? null) ? $query['prefix'] : '';
            $keys = array_filter(array_map(static fn (string $one): string => (string) hex2bin(basename($one)), glob("{$folder}/*") ?: []), static fn (string $one): bool => str_starts_with($one, $prefix));
            header('Content-Type: application/xml');
            echo '<?xml version="1.0"?><ListBucketResult><IsTruncated>false</IsTruncated><KeyCount>'.count($keys).'</KeyCount>';
            foreach ($keys as $one) {
                echo '<Contents><Key>'.htmlspecialchars($one).'</Key><Size>'.filesize($folder.'/'.bin2hex($one)).'</Size><LastModified>'.gmdate('Y-m-d\TH:i:s\Z', (int) filemtime($folder.'/'.bin2hex($one))).'</LastModified></Contents>';
            }
            echo '</ListBucketResult>';
            break;
        }
        // No break: the rest is as of HEAD.
    case 'HEAD':
        if (! is_file($file)) {
            $notThere();
            break;
        }
        header('Content-Type: application/octet-stream');
        header('ETag: "'.md5_file($file).'"');
        header('Last-Modified: '.gmdate('D, d M Y H:i:s', (int) filemtime($file)).' GMT');
        header('Content-Length: '.filesize($file));
        if ($_SERVER['REQUEST_METHOD'] === 'GET') {
            readfile($file);
        }
        break;
    default:
        http_response_code(501);
}
