<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Demo\ReadModel\DemoReader;
use ChalkLadder\Server\Roster\StudentUser;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** What bin/bench room measures: ten lessons at once, thirty students at work in each. */
#[AsCommand('demo:room', 'Makes the lessons that bin/bench room measures, and prints how to reach them.')]
final class RoomCommand extends Command
{
    private const LESSONS = 10;
    private const STUDENTS = 30;
    private const QUESTIONS = 20;

    public function __construct(
        private readonly Crowd $crowd,
        private readonly DemoReader $reader,
        private readonly EntityManagerInterface $entities,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->writeln(json_encode($this->entities->getConnection()->transactional($this->make(...)), JSON_THROW_ON_ERROR));
        $this->reader->analyse();

        return self::SUCCESS;
    }

    /** @return array<string, mixed> */
    private function make(): array
    {
        $who = $this->crowd->lead();
        $edition = $this->crowd->edition($who, 'Twenty questions', self::QUESTIONS);
        $handouts = [];
        foreach (range(1, self::LESSONS) as $i) {
            $name = 'Lesson '.chr(64 + $i);
            $handouts[$name] = $this->crowd->handOut($who, $edition, $this->crowd->classOf($who, $name, self::STUDENTS));
        }
        $lessons = array_fill_keys(array_keys($handouts), []);
        foreach ($this->reader->students() as $row) {
            $student = new StudentUser($row['id'], $who->teamId, $row['name']);
            $lessons[$row['class']][] = $this->crowd->atWork($student, $handouts[$row['class']], self::QUESTIONS);
        }

        return [
            'lessons' => array_map(fn (string $name): array => [
                // Each teacher watches with a session of their own.
                'staff' => $this->crowd->cookie($who),
                'handout' => $handouts[$name],
                'students' => $lessons[$name],
            ], array_keys($handouts)),
            'entries' => array_map(static fn (int $i): string => 'e'.$i, range(1, self::QUESTIONS)),
        ];
    }
}
