<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Server\Handout\HandoutInput;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
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
        private readonly Database $database,
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
        $expected = array_map(static fn ($r): string => $r->text('student_id'), $this->database->rows('SELECT student_id FROM handout_student hs WHERE handout_id = :id ORDER BY md5(student_id::text)', ['id' => $handout]));
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
            } catch (Problem $problem) {
                // Closed, or already handed in: this student is done.
                $more = false;
            }
            $this->dispatcher->dispatch(new TerminateEvent($this->kernel, new Request(), new Response()), KernelEvents::TERMINATE);
            if ($more) {
                $next[$id] = ($burst === 0 ? microtime(true) : $next[$id]) + (12 + 50 * $student['sim']->chance()) * ($student['sim']->rushes ? 0.25 : 1.0) * $minutes / 20;
            } else {
                unset($next[$id]);
            }
        }

        return self::SUCCESS;
    }

    /** The open live handout; when all its students are done, the paper is handed out anew. */
    private function liveHandout(): string
    {
        $open = $this->database->row("SELECT h.id FROM handout h WHERE h.title = :title AND h.closed_at IS NULL AND (SELECT count(*) FROM handout_student hs WHERE hs.handout_id = h.id) - (SELECT count(*) FROM sitting s WHERE s.handout_id = h.id AND s.state <> 'open') > 4 ORDER BY h.made_at DESC LIMIT 1", ['title' => self::PAPER]);
        if ($open !== null) {
            return $open->text('id');
        }
        $row = $this->database->row('SELECT h.id, h.edition_id, h.conditions, h.team_id, s.id AS staff_id, s.name, (SELECT class_id FROM handout_class hc WHERE hc.handout_id = h.id LIMIT 1) AS class_id FROM handout h JOIN staff s ON s.id = h.made_by WHERE h.title = :title ORDER BY h.made_at DESC LIMIT 1', ['title' => self::PAPER]) ?? throw new \RuntimeException('The demo is not loaded.');
        $who = new StaffUser($row->text('staff_id'), $row->text('team_id'), $row->text('name'), Role::Lead);
        $this->handouts->close($who, $row->text('id'));
        /** @var array<string, mixed> $conditions */
        $conditions = $row->json('conditions');

        return $this->handouts->create($who, new HandoutInput($row->text('edition_id'), [$row->text('class_id')], [], $conditions, requestId: Uuid::v7()->toRfc4122()))->id;
    }

    /** @return array<string, string> */
    private function slugs(string $handoutId): array
    {
        $titles = [];
        foreach ($this->scenario->bank('questions') as $slug => $q) {
            $titles[Scenario::text(Scenario::map($q)['title'] ?? '')] = (string) $slug;
        }
        $slugs = [];
        foreach ($this->database->rows('SELECT ei.entry, i.title FROM handout h JOIN edition_item ei ON ei.edition_id = h.edition_id JOIN item i ON i.id = ei.item_id WHERE h.id = :id', ['id' => $handoutId]) as $row) {
            $slugs[$row->text('entry')] = $titles[$row->text('title')] ?? '';
        }

        return $slugs;
    }
}
