<?php

declare(strict_types=1);

/** Somebody's browser, for what is tried here: cookies, tokens, and which of two servers is asked. */
final class Browser
{
    private readonly CurlHandle $curl;

    public function __construct(private readonly string $address, string $certificate)
    {
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_CAINFO => $certificate, CURLOPT_TIMEOUT => 60, CURLOPT_ENCODING => '']);
    }

    public static function signedIn(string $address, string $certificate, string $email, string $password): self
    {
        $browser = new self($address, $certificate);
        $browser->get('/sign-in');
        if ($browser->post('/sign-in', ['email' => $email, 'password' => $password]) !== 302) {
            throw new RuntimeException("{$email} is not let in.");
        }

        return $browser;
    }

    /** @return int status */
    public function get(string $path, ?string $server = null): int
    {
        return $this->ask($path, [CURLOPT_HTTPGET => true], $server);
    }

    /** @param  array<string, mixed>  $fields */
    public function post(string $path, array $fields, ?string $server = null): int
    {
        return $this->ask($path, [CURLOPT_POSTFIELDS => http_build_query($fields)], $server);
    }

    public string $body = '';

    /** @param  array<int, mixed>  $options */
    private function ask(string $path, array $options, ?string $server): int
    {
        $headers = ["X-XSRF-TOKEN: {$this->token()}", ...($server === null ? [] : ["X-Server: {$server}"])];
        curl_setopt_array($this->curl, [CURLOPT_URL => $this->address.$path, CURLOPT_HTTPHEADER => $headers] + $options);
        $this->body = (string) curl_exec($this->curl);

        return (int) curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
    }

    private function token(): string
    {
        foreach ((array) curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $cookie) {
            $parts = explode("\t", (string) $cookie);
            if (($parts[5] ?? '') === 'XSRF-TOKEN') {
                return urldecode($parts[6] ?? '');
            }
        }

        return '';
    }
}
