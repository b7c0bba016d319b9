<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Demo\ReadModel\DemoReader;
use ChalkLadder\Server\Handout\Api\Input\HandoutInput;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Roster\StudentUser;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;

#[AsCommand('demo:live', 'Keeps students moving in the live handout for a while.')]
final class LiveCommand extends Command
{
    private const PAPER = 'Heights of tide';

    public function __construct(
        private readonly DemoReader $reader,
        private readonly People $people,
        private readonly Sitter $sitter,
        private readonly Scenario $scenario,
        private readonly Handouts $handouts,
        private readonly EventDispatcherInterface $dispatcher,
        private readonly HttpKernelInterface $kernel,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('minutes', null, InputOption::VALUE_REQUIRED, 'How long, at most 120', '20');
        $this->addOption('burst', null, InputOption::VALUE_REQUIRED, 'Take so many steps at once, then stop', '0');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $minutes = is_numeric($m = $input->getOption('minutes')) ? max(1, min(120, (int) $m)) : 20;
        $burst = is_numeric($b = $input->getOption('burst')) ? (int) $b : 0;
        $handout = $this->liveHandout();
        $slugs = $this->slugs($handout);
        $students = $this->people->students();
        $users = array_map(static fn (array $s): StudentUser => $s['user'], $students);
        $expected = $this->reader->studentsOf($handout);
        usort($expected, static fn (string $a, string $b): int => md5($a) <=> md5($b));
        // Two never come; the others begin one after the other, each at an own speed.
        $moving = array_slice($expected, 0, -2);
        $until = microtime(true) + 60 * $minutes;
        $next = [];
        foreach ($moving as $i => $id) {
            $next[$id] = microtime(true) + 3 * $i;
        }
        $counter = (int) (microtime(true) * 1000);
        for ($step = 0; $next !== [] && microtime(true) < $until && ($burst === 0 || $step < $burst); ++$step) {
            asort($next);
            $id = (string) array_key_first($next);
            $wait = $next[$id] - microtime(true);
            if ($burst === 0 && $wait > 0) {
                usleep((int) (1e6 * min($wait, 5)));
            }
            $student = $students[$id];
            try {
                $more = $this->sitter->step($student['sim'], $student['user'], $handout, $slugs, ++$counter);
                $this->sitter->perhapsCall($student['sim'], $student['user'], $handout);
                $this->sitter->talk($users, $student['user']->teamId, $handout);
            } catch (Problem $problem) {
                // Held, they go on later; closed, or handed in already, they are done.
                $more = $this->sitter->isAtWork($student['user'], $handout);
            }
            $this->dispatcher->dispatch(new TerminateEvent($this->kernel, new Request(), new Response()), KernelEvents::TERMINATE);
            if ($more) {
                $next[$id] = ($burst === 0
                    ? microtime(true)
                    : $next[$id]) + (12 + 50 * $student['sim']->chance()) * ($student['sim']->rushes
                    ? 0.25
                    : 1.0) * $minutes / 20;
            } else {
                unset($next[$id]);
            }
        }

        return self::SUCCESS;
    }

    /** The open live handout; when all its students are done, the paper is handed out anew. */
    private function liveHandout(): string
    {
        $open = $this->reader->live(self::PAPER);
        if ($open !== null) {
            return $open;
        }
        $last = $this->reader->latest(self::PAPER) ?? throw new \RuntimeException('The demo is not loaded.');
        $who = new StaffUser($last['staff'], $last['team'], $last['name'], Role::Lead);
        $this->handouts->close($who, $last['id']);
        /** @var array<string, mixed> $conditions */
        $conditions = $last['conditions'];

        return $this->handouts->create(
            $who,
            new HandoutInput($last['edition'], [$last['class']], [], $conditions, requestId: Uuid::v7()->toRfc4122()),
        )->id;
    }

    /** @return array<string, string> */
    private function slugs(string $handoutId): array
    {
        $titles = [];
        foreach ($this->scenario->bank('questions') as $slug => $q) {
            $titles[Scenario::text(Scenario::map($q)['title'] ?? '')] = (string) $slug;
        }

        return array_map(static fn (string $title): string => $titles[$title] ?? '', $this->reader->titlesOf($handoutId));
    }
}
