<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Demo\ReadModel\DemoReader;
use ChalkLadder\Server\Bank\Api\Input\ItemInput;
use ChalkLadder\Server\Bank\Api\Input\TermInput;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\Staff;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Papers;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\HttpFoundation\Request;

/** What bin/bench desk measures: a team’s bank of thousands of questions, and hundreds of papers made of them. */
#[AsCommand('demo:desk', 'Makes the bank and papers that bin/bench desk measures, and prints how to reach them.')]
final class DeskCommand extends Command
{
    private const QUESTIONS = 5000;
    private const PAPERS = 300;
    private const EACH = 40;
    private const SKILLS = ['Reading a table', 'Range of tide', 'Rule of twelfths', 'Chart scale', 'Bearings', 'Buoyage', 'Coast', 'Moon and tide'];
    private const WORDS = [
        'harbour', 'pilot', 'sounding', 'bearing', 'current', 'spring', 'neap', 'lantern', 'headland', 'estuary', 'anchor', 'ferry', 'channel',
        'buoy', 'compass', 'depth', 'quay', 'sandbank', 'erosion', 'cliff', 'voyage', 'signal', 'scale', 'hour', 'height', 'range', 'course',
    ];

    public function __construct(
        private readonly DemoReader $reader,
        private readonly Teams $teams,
        private readonly Staff $staff,
        private readonly Sessions $sessions,
        private readonly Terms $terms,
        private readonly Bank $bank,
        private readonly Papers $papers,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $random = new Randomizer(new Xoshiro256StarStar(5));
        $team = $this->teams->found('The desk');
        $who = new StaffUser(
            $this->staff->create($team, 'desk@bench.example', 'The measurer', Role::Lead, bin2hex(random_bytes(8))),
            $team,
            'The measurer',
            Role::Lead,
        );
        $skills = array_map(fn (string $name): string => $this->terms->addSkill($who, new TermInput($name))->id, self::SKILLS);
        $items = [];
        foreach (range(1, self::QUESTIONS) as $i) {
            $words = $random->pickArrayKeys(self::WORDS, 5);
            $items[] = $this->bank->create($who, new ItemInput([
                'version' => 1, 'type' => 'choice', 'title' => sprintf('%s %d', ucfirst(self::WORDS[$words[0]]), $i), 'points' => '1',
                'prompt' => sprintf('<p>Which of these tells %s from %s at the %s of %s?</p>', ...array_map(
                    static fn (int|string $w): string => self::WORDS[$w],
                    array_slice($words, 1),
                )),
                'skill' => $skills[$i % count($skills)], 'hint' => '', 'explanation' => '',
                'rule' => ['options' => array_map(static fn (int $o): array => [
                    'id' => "o$o", 'text' => "<p>option $o</p>", 'key' => $o === 0, 'feedback' => '', 'misconception' => null,
                ], range(0, 3))],
            ]))->id;
        }
        $papers = [];
        for ($p = 0; $p < self::PAPERS; ++$p) {
            $papers[] = $this->papers->create($who, new PaperInput($this->paper($p, $items, $random)))->id;
        }
        $this->reader->analyse();
        $cookie = $this->sessions->openForStaff($who, new Request());
        // Nobody waits for ten PDFs at once alone.
        $second = new StaffUser(
            $this->staff->create($team, 'second@bench.example', 'The second', Role::Teacher, bin2hex(random_bytes(8))),
            $team,
            'The second',
            Role::Teacher,
        );
        $other = $this->sessions->openForStaff($second, new Request());
        $output->writeln(json_encode([
            'staff' => $cookie->getName().'='.$cookie->getValue(),
            'second' => $other->getName().'='.$other->getValue(),
            'papers' => array_slice($papers, -20),
            'branching' => $papers[0],
            'skills' => $skills,
            'words' => self::WORDS,
        ], JSON_THROW_ON_ERROR));

        return self::SUCCESS;
    }

    /**
     * @param non-empty-list<string> $items
     *
     * @return array<string, mixed> forty questions in four sections with a way back
     */
    private function paper(int $number, array $items, Randomizer $random): array
    {
        $picked = $random->pickArrayKeys($items, self::EACH);
        $sections = [];
        foreach (array_chunk($picked, 10) as $s => $chunk) {
            $sections[] = ['id' => "s$s", 'title' => "Part $s", 'route' => $s === 1 ? [
                'exits' => [['when' => 'share < 1/2', 'to' => 's0', 'rounds' => 1]], 'else' => 's2',
            ] : null, 'entries' => array_map(static fn (int|string $key): array => [
                'id' => "e$key", 'kind' => 'question', 'item' => $items[$key], 'points' => '1',
            ], $chunk)];
        }

        return ['version' => 1, 'title' => "Paper $number", 'mastery' => null, 'sections' => $sections];
    }
}
