<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Identity;

use ChalkLadder\Server\Tests\ApiCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Tester\CommandTester;

/** The one way into an installation without demo data. */
final class CreateTeamTest extends ApiCase
{
    private const ANSWERS = ['team' => 'Dune', 'email' => 'Mira@dune.example', 'name' => 'Mira Vale'];

    public function testTheLeadOfANewTeamCanSignIn(): void
    {
        $made = $this->make(self::ANSWERS, ['short', 'long enough now']);
        self::assertSame(Command::SUCCESS, $made->getStatusCode(), $made->getDisplay());
        self::assertStringContainsString('At least 10 characters.', $made->getDisplay(), 'the short one is asked for again');
        self::assertStringNotContainsString('long enough now', $made->getDisplay());

        $session = $this->as(null)->get('POST', '/session', ['email' => 'mira@dune.example', 'password' => 'long enough now']);
        self::assertSame(
            ['Mira Vale', 'lead', 'Dune'],
            [$session->at('staff.name'), $session->at('staff.role'), $session->at('staff.team')],
        );
        self::assertSame([], $this->get('GET', '/papers')->list('papers'), 'a new team starts with nothing of another');
    }

    public function testATeamMayWriteDecimalCommas(): void
    {
        $this->make(self::ANSWERS + ['--numbers' => 'comma'], ['long enough now']);

        self::assertSame('comma', $this->tables->row("SELECT number_style FROM team WHERE name = 'Dune'")?->text('number_style'));
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function refusals(): iterable
    {
        yield 'no address' => [['email' => 'mira'], 'This is not an e-mail address: mira'];
        yield 'an address in use' => [
            ['email' => 'TEACHER@test.example'],
            'There is already an account for TEACHER@test.example. Choose another address.',
        ];
        yield 'no name' => [['name' => ' '], 'The team and its lead need a name each.'];
        yield 'no team' => [['team' => ''], 'The team and its lead need a name each.'];
        yield 'numbers in words' => [['--numbers' => 'words'], '--numbers is point or comma.'];
    }

    /** @param array<string, string> $wrong */
    #[DataProvider('refusals')]
    public function testSaysWhatIsWrongBeforeAskingForAPassword(array $wrong, string $message): void
    {
        $teams = $this->tables->row('SELECT count(*) AS n FROM team')?->int('n');
        $made = $this->make($wrong + self::ANSWERS, []);

        self::assertSame(Command::INVALID, $made->getStatusCode());
        self::assertStringContainsString($message, (string) preg_replace('/\s+/', ' ', $made->getDisplay()));
        self::assertSame($teams, $this->tables->row('SELECT count(*) AS n FROM team')?->int('n'));
    }

    /**
     * @param array<string, string> $input
     * @param list<string>          $typed
     */
    private function make(array $input, array $typed): CommandTester
    {
        self::assertNotNull(self::$kernel);
        $tester = new CommandTester((new Application(self::$kernel))->find('team:create'));
        $tester->setInputs($typed);
        $tester->execute($input, ['capture_stderr_separately' => false]);

        return $tester;
    }
}
