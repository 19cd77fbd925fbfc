<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\HandlerStack;
use GuzzleHttp\Promise\PromiseInterface;
use Psr\Http\Message\ResponseInterface;

/** Somebody with a browser's cookies, who sends what the pages would send. */
final class Caller
{
    /** One for all of them: what several have begun to send is under way at the same time. */
    private static ?HandlerStack $together = null;

    private CookieJar $cookies;

    private Client $client;

    public function __construct(private readonly string $address)
    {
        $this->keep(new CookieJar);
    }

    /** Another window of the same browser, whose cookies are its own from now on. */
    public function __clone()
    {
        $this->keep(clone $this->cookies);
    }

    private function keep(CookieJar $cookies): void
    {
        $this->cookies = $cookies;
        self::$together ??= HandlerStack::create(new CurlMultiHandler);
        $this->client = new Client(['handler' => self::$together, 'base_uri' => $this->address, 'cookies' => $cookies, 'http_errors' => false, 'allow_redirects' => false, 'timeout' => 60]);
    }

    public static function signedIn(string $address, string $name): self
    {
        $caller = new self($address);
        $caller->get('/sign-in');
        $caller->post('/sign-in', ['email' => "{$name}@alder.test", 'password' => 'larch-and-oak']);

        return $caller;
    }

    public function get(string $path): ResponseInterface
    {
        return $this->client->get($path);
    }

    /** @return array<string, mixed> the props of a page */
    public function page(string $path): array
    {
        $body = (string) $this->get($path)->getBody();
        if (preg_match('#<script[^>]*type="application/json"[^>]*>(.*?)</script>#s', $body, $found) !== 1) {
            throw new \RuntimeException("No page at {$path}: ".substr($body, 0, 300));
        }
        $page = json_decode($found[1], true, 512, JSON_THROW_ON_ERROR);

        return is_array($page) && is_array($page['props'] ?? null) ? $page['props'] : [];
    }

    /** @param  array<string, mixed>  $form */
    public function post(string $path, array $form): ResponseInterface
    {
        $answer = $this->send('POST', $path, $form)->wait();
        assert($answer instanceof ResponseInterface);

        return $answer;
    }

    public function upload(string $path, string $name, string $content): ResponseInterface
    {
        $token = $this->cookies->getCookieByName('XSRF-TOKEN')?->getValue();

        return $this->client->post($path, ['multipart' => [['name' => 'file', 'filename' => $name, 'contents' => $content]], 'headers' => ['X-XSRF-TOKEN' => urldecode((string) $token), 'Referer' => $this->address.'/', 'Accept' => 'text/html']]);
    }

    /**
     * Begins to send; the answer comes later.
     *
     * @param  array<string, mixed>  $form
     */
    public function send(string $method, string $path, array $form): PromiseInterface
    {
        $token = $this->cookies->getCookieByName('XSRF-TOKEN')?->getValue();

        return $this->client->requestAsync($method, $path, ['json' => $form, 'headers' => ['X-XSRF-TOKEN' => urldecode((string) $token), 'Referer' => $this->address.'/', 'Accept' => 'text/html']]);
    }
}
