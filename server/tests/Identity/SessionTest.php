<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Identity;

use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Tests\ApiCase;
use Symfony\Component\BrowserKit\Cookie;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;

final class SessionTest extends ApiCase
{
    private const RIGHT = ['email' => 'teacher@test.example', 'password' => 'a long password'];

    public function testSigningInOpensASessionThatSigningOutEnds(): void
    {
        $this->as(null);
        self::assertNull($this->get('GET', '/session')->at('staff'));
        $session = $this->get('POST', '/session', self::RIGHT);
        self::assertSame(
            ['Teacher', 'teacher', 'Harbour'],
            [$session->at('staff.name'), $session->at('staff.role'), $session->at('staff.team')],
        );
        $cookie = $this->browser->getResponse()->headers->getCookies()[0];
        self::assertSame([true, 'lax', '/api'], [$cookie->isHttpOnly(), $cookie->getSameSite(), $cookie->getPath()]);
        self::assertNull(
            $this->tables->row('SELECT 1 FROM session WHERE token_hash = :token', ['token' => (string) $cookie->getValue()]),
            'the token itself is not kept',
        );

        $this->get('GET', '/bank/terms');
        self::assertSame(204, $this->ask('DELETE', '/session')->getStatusCode());
        $this->browser->getCookieJar()->set(new Cookie(Sessions::STAFF_COOKIE, (string) $cookie->getValue(), null, '/api', 'localhost'));
        $this->refused(401, 'GET', '/bank/terms');
    }

    public function testWrongNameAndWrongPasswordLookTheSame(): void
    {
        $this->as(null);
        $wrong = $this->refused(422, 'POST', '/session', ['password' => 'another password'] + self::RIGHT);
        $nobody = $this->refused(422, 'POST', '/session', ['email' => 'nobody@test.example'] + self::RIGHT);
        self::assertSame($wrong->map(''), $nobody->map(''));
        $this->get('POST', '/session', ['email' => 'TEACHER@test.example'] + self::RIGHT);
    }

    public function testOverTlsCookiesAreBoundToTheHostAndTheBrowserStaysWithTls(): void
    {
        $head = ['CONTENT_TYPE' => 'application/json', 'HTTP_X_CHALK_LADDER' => '1'];
        $body = json_encode(self::RIGHT, JSON_THROW_ON_ERROR);
        foreach (['http' => '', 'https' => '__Host-'] as $scheme => $prefix) {
            $this->browser->request('POST', "$scheme://localhost/api/session", [], [], $head, $body);
            $answer = $this->browser->getResponse();
            self::assertSame(200, $answer->getStatusCode());
            foreach ($answer->headers->getCookies() as $cookie) {
                self::assertStringStartsWith($prefix.'chalk_', $cookie->getName());
                self::assertSame([$scheme === 'https', true], [$cookie->isSecure(), $cookie->isHttpOnly()]);
            }
            self::assertNotSame([], $answer->headers->getCookies());
            self::assertSame($scheme === 'https', $answer->headers->has('Strict-Transport-Security'));
        }
    }

    public function testSessionsThatAreOverAreNotKept(): void
    {
        $clock = new MockClock();
        Clock::set($clock);
        $this->as($this->world->teacher);
        $this->as($this->world->students['Ada Okafor']);
        $count = fn (): int => $this->tables->row('SELECT count(*) AS n FROM session')?->int('n') ?? 0;
        self::assertSame(2, $count());
        $clock->modify('+90 days');
        self::service(Sessions::class)->forgetOld();
        self::assertSame(0, $count());
    }

    public function testGuessingIsSlowedDownForThatAccountAloneHoweverItIsSpelt(): void
    {
        $clock = new MockClock();
        Clock::set($clock);
        $this->as(null);
        foreach ([
            'teacher@test.example',
            'TEACHER@test.example',
            ' Teacher@Test.example ',
            'teacher@TEST.example',
            'tEacher@test.example',
            'teacher@test.example',
        ] as $i => $spelling) {
            $this->refused(422, 'POST', '/session', ['email' => $spelling, 'password' => "guess $i"]);
        }
        self::assertSame(2, $this->refused(429, 'POST', '/session', self::RIGHT)->int('retryAfter'));
        $this->get('POST', '/session', ['email' => 'lead@test.example'] + self::RIGHT);
        $this->as(null);
        // A try that came too soon neither counts nor makes the wait longer; the right one is let in when it is over.
        $clock->sleep(2);
        $this->get('POST', '/session', self::RIGHT);
        $this->as(null)->refused(422, 'POST', '/session', ['password' => 'guess'] + self::RIGHT);
    }

    public function testTheWaitGrowsButNobodyIsLockedOut(): void
    {
        $clock = new MockClock();
        Clock::set($clock);
        $slip = $this->as($this->world->teacher)->get('POST', '/classes/'.$this->world->classId.'/slips');
        $right = ['code' => $slip->text('code'), 'name' => 'Ada Okafor', 'pin' => $slip->text('slips.0.pin')];
        $this->as(null);
        $tries = 0;
        for ($minute = 0; $minute < 10 * 60; ++$minute) {
            $status = $this->ask('POST', '/join', ['pin' => sprintf('%06d', $minute)] + $right)->getStatusCode();
            self::assertContains($status, [422, 429]);
            $tries += $status === 422 ? 1 : 0;
            $clock->sleep(1);
        }
        self::assertLessThan(20, $tries, 'ten minutes of guessing once a second');
        $clock->sleep(60);
        $this->get('POST', '/join', $right);
    }

    public function testADeviceThatSignedInBeforePassesWhileAStrangerGuesses(): void
    {
        $clock = new MockClock();
        Clock::set($clock);
        $this->as(null)->get('POST', '/session', self::RIGHT);
        $device = array_values(array_filter(
            $this->browser->getResponse()->headers->getCookies(),
            static fn ($c): bool => $c->getName() === 'chalk_device',
        ))[0];
        $this->as(null);
        for ($i = 0; $i < 6; ++$i) {
            $this->refused(422, 'POST', '/session', ['password' => "guess $i"] + self::RIGHT);
        }
        $this->refused(429, 'POST', '/session', self::RIGHT);
        $this->browser->getCookieJar()->set(new Cookie('chalk_device', (string) $device->getValue(), null, '/api', 'localhost'));
        $this->get('POST', '/session', self::RIGHT);
        $this->as(null);
        $value = (string) $device->getValue();
        $forged = ($value[0] === 'f' ? '0' : 'f').substr($value, 1);
        $this->browser->getCookieJar()->set(new Cookie(
            'chalk_device',
            $forged,
            null,
            '/api',
            'localhost',
        ));
        $this->refused(429, 'POST', '/session', self::RIGHT);
    }

    public function testOnlyFailuresCountAgainstAnAddress(): void
    {
        $this->as(null);
        for ($i = 0; $i < 210; ++$i) {
            $this->get('POST', '/session', self::RIGHT);
        }
        $this->as(null);
        for ($i = 0; $i < 200; ++$i) {
            $this->refused(400, 'POST', '/join', '{"unknown": 1}');
        }
        $this->refused(429, 'POST', '/join', '{"unknown": 1}');
        $this->refused(429, 'POST', '/session', self::RIGHT);
    }

    public function testAStaffCookieOpensNoStudentDoorAndTheOtherWayRound(): void
    {
        $this->as($this->world->lead)->refused(401, 'GET', '/me');
        $this->as($this->world->students['Ada Okafor'])->refused(401, 'GET', '/papers');
    }

    public function testAnExpiredSessionIsNobodys(): void
    {
        $this->as($this->world->teacher)->get('GET', '/papers');
        $this->tables->run("UPDATE session SET expires_at = now() - interval '1 second'");
        $this->refused(401, 'GET', '/papers');
    }

    public function testASessionEndsWhenItIsNotUsedAndAtItsEnd(): void
    {
        $clock = new MockClock();
        Clock::set($clock);
        $this->as($this->world->teacher)->get('GET', '/papers');
        $clock->sleep(6.9 * 86400);
        $this->get('GET', '/papers');
        $clock->sleep(6.9 * 86400);
        $this->get('GET', '/papers');
        $clock->sleep(86400);
        $this->refused(401, 'GET', '/papers');

        $this->as($this->world->teacher)->get('GET', '/papers');
        $clock->sleep(7.1 * 86400);
        $this->refused(401, 'GET', '/papers');
        $this->as($this->world->students['Ada Okafor'])->get('GET', '/me/work');
        $clock->sleep(31 * 86400);
        $this->refused(401, 'GET', '/me/work');
    }

    public function testWhoIsOnNoRosterAnyMoreIsNobody(): void
    {
        $ada = $this->world->students['Ada Okafor'];
        $this->as($ada)->get('GET', '/me/work');
        $cookie = $this->browser->getCookieJar()->all()[0];
        $this->as($this->world->teacher)->ask('DELETE', '/classes/'.$this->world->classId.'/students/'.$ada->id);
        $this->as(null);
        $this->browser->getCookieJar()->set($cookie);
        $this->refused(401, 'GET', '/me/work');
    }
}
