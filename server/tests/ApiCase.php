<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests;

use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\BrowserKit\Cookie;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/** A test that speaks HTTP with the server, on real PostgreSQL, inside one transaction. */
abstract class ApiCase extends WebTestCase
{
    protected KernelBrowser $browser;
    protected World $world;
    protected Tables $tables;

    protected function setUp(): void
    {
        $this->browser = self::createClient();
        $this->browser->disableReboot();
        $this->tables = new Tables(self::service(EntityManagerInterface::class));
        $this->world = new World($this->tables, self::service(...));
    }

    protected function tearDown(): void
    {
        Clock::set(new NativeClock());
        parent::tearDown();
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    public static function service(string $class): object
    {
        $service = self::getContainer()->get($class);

        return $service instanceof $class ? $service : throw new \LogicException("$class is not a service.");
    }

    protected function as(StaffUser|StudentUser|null $who): static
    {
        $this->browser->getCookieJar()->clear();
        if ($who !== null) {
            $sessions = self::service(Sessions::class);
            $cookie = $who instanceof StaffUser
                ? $sessions->openForStaff($who, new Request())
                : $sessions->openForStudent($who->teamId, $who->id, new Request());
            $this->browser->getCookieJar()->set(new Cookie($cookie->getName(), (string) $cookie->getValue(), null, '/api', 'localhost'));
        }

        return $this;
    }

    /** @param array<array-key, mixed>|string|null $body */
    protected function ask(string $method, string $path, array|string|null $body = null): Response
    {
        $this->browser->request(
            $method,
            'http://localhost/api'.$path,
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_X_CHALK_LADDER' => '1'],
            is_array($body) ? json_encode((object) $body, JSON_THROW_ON_ERROR) : $body,
        );

        return $this->browser->getResponse();
    }

    /** A body that is bytes, as pieces of files are. */
    protected function askBytes(string $method, string $path, string $bytes): Response
    {
        $this->browser->request(
            $method,
            'http://localhost/api'.$path,
            [],
            [],
            ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_X_CHALK_LADDER' => '1'],
            $bytes,
        );

        return $this->browser->getResponse();
    }

    /**
     * @param array<array-key, mixed>|null $body
     */
    protected function get(string $method, string $path, ?array $body = null): Json
    {
        $response = $this->ask($method, $path, $body);
        self::assertLessThan(300, $response->getStatusCode(), "$method $path: ".$response->getContent());

        return Json::of((string) $response->getContent());
    }

    /**
     * @param array<array-key, mixed>|string|null $body
     */
    protected function refused(int $status, string $method, string $path, array|string|null $body = null): Json
    {
        $response = $this->ask($method, $path, $body);
        self::assertSame($status, $response->getStatusCode(), "$method $path: ".$response->getContent());
        self::assertSame('application/problem+json', $response->headers->get('Content-Type'));

        return Json::of((string) $response->getContent());
    }

    /** What the device of a sitting's student calls an option. */
    protected function shown(string $sittingId, string $option, string $entry = 'e-choice'): string
    {
        $student = $this->tables->row('SELECT student_id FROM sitting WHERE id = :id', ['id' => $sittingId])?->text('student_id') ?? '';

        return self::service(SittingReader::class)->ofStudent($student, $sittingId)->veil($entry)->shown($option);
    }
}
