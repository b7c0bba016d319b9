<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Demo\ReadModel\DemoReader;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\SaveInput;
use ChalkLadder\Server\Sitting\Api\Input\SavesInput;
use ChalkLadder\Server\Sitting\Api\Input\VisitInput;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\Saves;
use ChalkLadder\Server\Sitting\Sittings;
use Doctrine\ORM\EntityManagerInterface;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** What bin/bench measures: a year of 200 students, one handout at work, one handed in, one sat 25 times over. */
#[AsCommand('demo:crowd', 'Makes the crowd that bin/bench measures, and prints how to reach it.')]
final class CrowdCommand extends Command
{
    private const STUDENTS = 200;
    private const QUESTIONS = 30;
    private const TIMES = 25;

    public function __construct(
        private readonly Crowd $crowd,
        private readonly DemoReader $reader,
        private readonly EntityManagerInterface $entities,
        private readonly SittingReader $sittingReader,
        private readonly Sittings $sittings,
        private readonly Saves $saves,
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
        $class = $this->crowd->classOf($who, 'Student', self::STUDENTS);
        $long = $this->crowd->edition($who, 'Thirty questions', self::QUESTIONS);
        $short = $this->crowd->edition($who, 'One question', 1);
        $atWork = $this->crowd->handOut($who, $long, $class);
        $handedIn = $this->crowd->handOut($who, $long, $class);
        $often = $this->crowd->handOut($who, $short, $class);
        $sitters = [];
        foreach ($this->reader->students() as $i => $row) {
            $student = new StudentUser($row['id'], $who->teamId, $row['name']);
            $sitters[] = $this->crowd->atWork($student, $atWork, self::QUESTIONS);
            $this->sit($student, $handedIn, $i, self::QUESTIONS);
            $this->sit($student, $often, $i, 1);
        }
        $this->reader->multiply($often, self::TIMES);

        return [
            'staff' => $this->crowd->cookie($who),
            'atWork' => $atWork,
            'handedIn' => $handedIn,
            'often' => $often,
            'responses' => self::STUDENTS * self::TIMES,
            'students' => $sitters,
            'entries' => array_map(static fn (int $i): string => 'e'.$i, range(1, self::QUESTIONS)),
            'rule' => Crowd::rule(1),
        ];
    }

    private function sit(StudentUser $student, string $handout, int $seed, int $questions): void
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $view = $this->sittings->open($student, $handout);
        $veiled = $this->sittingReader->ofStudent($student->id, $view->id);
        $saves = [];
        for ($i = 1; $i <= $questions; ++$i) {
            // Abler students and easier questions go right more often; the rest spreads over the distractors.
            $right = $random->getInt(0, 399) < $seed + 200 - 4 * $i;
            $saves[] = new SaveInput(
                'e'.$i,
                1,
                $veiled->covered('e'.$i, 1, ResponseReader::fromArray(['options' => ['o'.($right ? 0 : $random->getInt(1, 3))]])),
                1,
                "crowd-$i",
                $random->getInt(8_000, 90_000),
            );
        }
        $this->saves->save($student, $view->id, new SavesInput($saves));
        $this->sittings->handIn($student, $view->id, new VisitInput($view->visit));
    }
}
