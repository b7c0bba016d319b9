<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Identity;

use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Tests\ApiCase;

final class SessionTest extends ApiCase
{
    private const RIGHT = ['email' => 'teacher@test.example', 'password' => 'a long password'];

    public function testSigningInOpensASessionThatSigningOutEnds(): void
    {
        $this->as(null);
        self::assertNull($this->get('GET', '/session')->at('staff'));
        $session = $this->get('POST', '/session', self::RIGHT);
        self::assertSame(['Teacher', 'teacher', 'Harbour'], [$session->at('staff.name'), $session->at('staff.role'), $session->at('staff.team')]);
        $cookie = $this->browser->getResponse()->headers->getCookies()[0];
        self::assertSame([true, 'lax', '/api'], [$cookie->isHttpOnly(), $cookie->getSameSite(), $cookie->getPath()]);
        self::assertNull($this->tables->row('SELECT 1 FROM session WHERE token_hash = :token', ['token' => (string) $cookie->getValue()]), 'the token itself is not kept');

        $this->get('GET', '/bank/terms');
        self::assertSame(204, $this->ask('DELETE', '/session')->getStatusCode());
        $this->browser->getCookieJar()->set(new \Symfony\Component\BrowserKit\Cookie(Sessions::STAFF_COOKIE, (string) $cookie->getValue(), null, '/api', 'localhost'));
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

    public function testGuessingIsSlowedDownForThatAccountAlone(): void
    {
        $this->as(null);
        for ($i = 0; $i < 8; ++$i) {
            $this->refused(422, 'POST', '/session', ['password' => "guess $i"] + self::RIGHT);
        }
        $this->refused(429, 'POST', '/session', self::RIGHT);
        $this->get('POST', '/session', ['email' => 'lead@test.example'] + self::RIGHT);
    }

    public function testGuessingPinsIsSlowedDown(): void
    {
        $code = $this->as($this->world->teacher)->get('GET', '/classes/'.$this->world->classId)->text('code');
        $this->as(null);
        for ($i = 0; $i < 10; ++$i) {
            $this->refused(422, 'POST', '/join', ['code' => $code, 'name' => 'Ada Okafor', 'pin' => sprintf('%06d', $i)]);
        }
        $this->refused(429, 'POST', '/join', ['code' => $code, 'name' => 'ada okafor', 'pin' => '000000']);
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
}
