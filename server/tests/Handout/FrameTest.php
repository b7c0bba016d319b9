<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Handout;

use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Tests\ApiCase;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Response;

/** A student's page within a page of others: which may show it, and who is signed in there. */
final class FrameTest extends ApiCase
{
    private const FRAMED = ['HTTP_X_CHALK_FRAMED' => '1'];

    public function testOnlyPagesThatALeadOfTheTeamHasNamedMayShowItsWork(): void
    {
        $handout = $this->world->handOut();
        self::assertSame('', $this->framedBy($handout), 'nobody, until somebody is named');
        $pages = ['https://pages.school.example/8-heron', 'http://localhost:8123', 'pages.school.example'];
        $view = $this->as($this->world->lead)->get('PUT', '/account/team', ['framedBy' => $pages]);
        self::assertSame(['https://pages.school.example', 'http://localhost:8123'], $view->at('framedBy'));
        self::assertSame('changed the pages that may show the work of', $this->get('GET', '/trail')->text('lines.0.did'));
        self::assertSame('https://pages.school.example http://localhost:8123', $this->framedBy($handout));
        self::assertSame(['', ''], [$this->framedBy(Id::fresh()), $this->framedBy('abc-1')], 'and nobody where there is nothing');

        $this->as($this->world->stranger);
        self::assertSame([], $this->get('GET', '/account')->at('framedBy'), 'another team names its own');
    }

    public function testAnAddressThatIsNoneIsRefusedInWordsAndNothingIsSet(): void
    {
        $this->as($this->world->lead)->get('PUT', '/account/team', ['framedBy' => ['https://pages.school.example']]);
        $refusal = $this->refused(422, 'PUT', '/account/team', ['framedBy' => ['https://other.example', 'http://pages.school.example']]);
        self::assertStringContainsString('has to begin with https://', $refusal->text('fields.framedBy'));
        foreach ([[['x']], array_fill(0, 21, 'https://a.example'), [str_repeat('a', 301)], 'https://a.example', [null]] as $bad) {
            $this->refused(422, 'PUT', '/account/team', ['framedBy' => $bad]);
        }
        self::assertSame(['https://pages.school.example'], $this->get('GET', '/account')->at('framedBy'));
    }

    public function testWhoJoinsWithinAPageOfOthersIsKeptForThatPageAlone(): void
    {
        $joined = $this->join(self::FRAMED);
        $own = self::cookie($joined, '__Host-'.Sessions::STUDENT_COOKIE.'_framed');
        self::assertSame(
            [true, true, true, 'none'],
            [$own->isPartitioned(), $own->isSecure(), $own->isHttpOnly(), $own->getSameSite()],
        );
        self::assertTrue(self::cookie($joined, '__Host-'.Sessions::STUDENT_COOKIE)->isCleared());
        self::assertSame(200, $this->tls('GET', '/me')->getStatusCode(), 'a picture says nothing of the frame it is asked for in');

        self::assertSame(204, $this->tls('DELETE', '/me', self::FRAMED)->getStatusCode());
        self::assertSame(401, $this->tls('GET', '/me')->getStatusCode());
        self::assertNull($this->tables->row('SELECT 1 FROM session WHERE token_hash = :hash', ['hash' => hash('sha256', (string) $own->getValue())]));
    }

    public function testWhoJoinsByThemselvesIsNotSentFromOtherSites(): void
    {
        $this->join(self::FRAMED);
        $joined = $this->join();
        $own = self::cookie($joined, '__Host-'.Sessions::STUDENT_COOKIE);
        self::assertSame([false, 'lax'], [$own->isPartitioned(), $own->getSameSite()]);
        self::assertTrue(self::cookie($joined, '__Host-'.Sessions::STUDENT_COOKIE.'_framed')->isCleared(), 'one student works in one browser');
    }

    public function testStaffAreNeverSignedInWithinAPageOfOthers(): void
    {
        $this->as(null);
        $answer = $this->tls('POST', '/session', self::FRAMED, ['email' => 'teacher@test.example', 'password' => 'a long password']);
        $own = self::cookie($answer, '__Host-'.Sessions::STAFF_COOKIE);
        self::assertSame([false, 'lax'], [$own->isPartitioned(), $own->getSameSite()]);
    }

    private function framedBy(string $handout): string
    {
        $answer = $this->as(null)->ask('GET', "/framed/$handout");
        self::assertSame([200, '/internal/framed', ''], [
            $answer->getStatusCode(), $answer->headers->get('X-Accel-Redirect'), $answer->getContent(),
        ]);

        return (string) $answer->headers->get('X-Chalk-Framed-By');
    }

    /** @param array<string, string> $with */
    private function join(array $with = []): Response
    {
        $pin = $this->as($this->world->teacher)
            ->get('POST', "/classes/{$this->world->classId}/students/{$this->world->students['Ada Okafor']->id}/pin")->text('pin');
        $code = $this->get('GET', "/classes/{$this->world->classId}")->text('code');
        $answer = $this->tls('POST', '/join', $with, ['code' => $code, 'name' => 'Ada Okafor', 'pin' => $pin]);
        self::assertSame(200, $answer->getStatusCode(), (string) $answer->getContent());

        return $answer;
    }

    /**
     * @param array<string, string> $with
     * @param array<string, string> $body
     */
    private function tls(string $method, string $path, array $with = [], array $body = []): Response
    {
        $head = ['CONTENT_TYPE' => 'application/json', 'HTTP_X_CHALK_LADDER' => '1'] + $with;
        $this->browser->request($method, 'https://localhost/api'.$path, [], [], $head, json_encode((object) $body, JSON_THROW_ON_ERROR));

        return $this->browser->getResponse();
    }

    private static function cookie(Response $answer, string $name): Cookie
    {
        foreach ($answer->headers->getCookies() as $cookie) {
            if ($cookie->getName() === $name) {
                return $cookie;
            }
        }
        self::fail("no cookie $name");
    }
}
