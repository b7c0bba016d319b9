<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform\Resident;

use ChalkLadder\Server\Platform\Resident\ScgiAnswer;
use ChalkLadder\Server\Platform\Resident\ScgiRequest;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What the web server says, and what it is told. */
final class ScgiTest extends TestCase
{
    private const HEADERS = [
        'REQUEST_METHOD' => 'PUT', 'REQUEST_URI' => '/api/me/x?of=a%20b&list[]=1&list[]=2', 'QUERY_STRING' => 'of=a%20b&list[]=1&list[]=2',
        'CONTENT_TYPE' => 'application/json', 'SCRIPT_NAME' => '/index.php', 'HTTP_HOST' => 'ladder.example:8420', 'REMOTE_ADDR' => '10.1.2.3',
        'HTTP_X_CHALK_LADDER' => '1', 'HTTP_COOKIE' => 'chalk_student=ab%2Bc; other=1; chalk_student=later; list[]=2; bare',
    ];

    #[TestWith([1])]
    #[TestWith([7])]
    #[TestWith([100_000])]
    public function testIsReadHoweverItsBytesArrive(int $piece): void
    {
        $body = "{\"a\": \"é,\0\"}";
        $request = self::read(Scgi::bytes(self::HEADERS, $body).'what comes after', $piece);
        self::assertSame('PUT', $request->getMethod());
        self::assertSame('/api/me/x', $request->getPathInfo());
        self::assertSame(['of' => 'a b', 'list' => ['1', '2']], $request->query->all());
        self::assertSame('http://ladder.example:8420/api/me/x', $request->getSchemeAndHttpHost().$request->getPathInfo());
        self::assertSame('10.1.2.3', $request->getClientIp());
        self::assertSame('1', $request->headers->get('X-Chalk-Ladder'));
        self::assertSame('json', $request->getContentTypeFormat());
        self::assertSame($body, $request->getContent());
        self::assertSame(['chalk_student' => 'ab+c', 'other' => '1', 'list[]' => '2', 'bare' => ''], $request->cookies->all());
    }

    public function testARequestWithoutABodySaysNoLength(): void
    {
        self::assertSame('', self::read(Scgi::bytes(['CONTENT_LENGTH' => '', 'REQUEST_METHOD' => 'GET']))->getContent());
    }

    /** @return iterable<string, array{string}> */
    public static function unreadable(): iterable
    {
        $whole = Scgi::bytes(self::HEADERS, '{}');
        yield 'nothing' => [''];
        yield 'another protocol' => ["GET / HTTP/1.1\r\nHost: x\r\n\r\n"];
        yield 'a length that is no number' => ['-5:abcdefgh,'];
        yield 'more headers than may be' => ['70000:'.str_repeat('a', 70_000).','];
        yield 'a length of endless digits' => [str_repeat('9', 1000)];
        yield 'no comma' => [str_replace(',{}', ';{}', $whole)];
        yield 'not SCGI' => [Scgi::bytes(['SCGI' => '2'])];
        yield 'a name without a value' => ["27:CONTENT_LENGTH\0".'0'."\0SCGI\0001\0ODD\0,"];
        yield 'a value that goes on' => ["21:CONTENT_LENGTH\0".'0'."\0SCGI,"];
        yield 'a body that is too long' => [Scgi::bytes(['CONTENT_LENGTH' => '9999999'], 'x')];
        yield 'a length below nothing' => [Scgi::bytes(['CONTENT_LENGTH' => '-1'], 'x')];
        yield 'headers that end too early' => [substr($whole, 0, 40)];
        yield 'a body that ends too early' => [substr($whole, 0, -1)];
    }

    #[DataProvider('unreadable')]
    public function testAnythingElseIsRefused(string $bytes): void
    {
        $this->expectException(\UnexpectedValueException::class);
        self::read($bytes);
    }

    public function testAnAnswerIsToldWithItsHeadersAndLength(): void
    {
        $response = new JsonResponse(['name' => 'Ada'], 201, ['X-Two' => ['a', 'b']]);
        $response->headers->setCookie(Cookie::create('chalk_student', 'x y'));
        [$head, $body] = self::told($response);
        self::assertSame('{"name":"Ada"}', $body);
        self::assertSame('Status: 201 Created', $head[0]);
        self::assertContains('Content-Type: application/json', $head);
        self::assertContains('Content-Length: 14', $head);
        self::assertContains('X-Two: a', $head);
        self::assertContains('X-Two: b', $head);
        self::assertContains('Set-Cookie: chalk_student=x%20y; path=/; httponly; samesite=lax', $head);
    }

    public function testWhatIsMadeWhileItIsSentIsSentWhole(): void
    {
        [$head, $body] = self::told(new StreamedResponse(static function (): void {
            echo 'one ';
            echo 'two';
        }));
        self::assertSame('one two', $body);
        self::assertContains('Content-Length: 7', $head);
    }

    public function testWhatTheWebServerFetchesAndWhatIsNotAskedForHasNoLengthOfOurs(): void
    {
        foreach ([self::told(new Response('', 200, ['X-Accel-Redirect' => '/internal/files/x'])), self::told(new Response('seen'), 'HEAD')] as [$head]) {
            self::assertSame([], preg_grep('/^Content-Length/i', $head));
        }
    }

    private static function read(string $bytes, int $piece = 4096): Request
    {
        return ScgiRequest::read(static function () use (&$bytes, $piece): string {
            $next = substr($bytes, 0, $piece);
            $bytes = substr($bytes, strlen($next));

            return $next;
        });
    }

    /** @return array{list<string>, string} */
    private static function told(Response $response, string $method = 'GET'): array
    {
        [$head, $body] = explode("\r\n\r\n", ScgiAnswer::of(Request::create('/', $method), $response), 2) + ['', ''];

        return [explode("\r\n", $head), $body];
    }
}
