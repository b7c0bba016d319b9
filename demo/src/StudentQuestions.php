<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Peers\Api\Input\InvitationInput;
use ChalkLadder\Server\Peers\Api\Input\PickInput;
use ChalkLadder\Server\Peers\Api\Input\ProposalInput;
use ChalkLadder\Server\Peers\Invitations;
use ChalkLadder\Server\Peers\Proposals;
use ChalkLadder\Server\Peers\Reviewing;
use ChalkLadder\Server\Roster\StudentUser;
use Symfony\Component\Uid\Uuid;
use Symfony\Component\Yaml\Yaml;

/** A class that was asked for questions: what it wrote, and how far each has come (demo/questions-by-students.yaml). */
final readonly class StudentQuestions
{
    /** How many places of the roster lie between two writers, and how many of those who are shown a question answer it. */
    private const APART = 5;
    private const ANSWER = 0.8;

    public function __construct(
        private Invitations $invitations,
        private Proposals $proposals,
        private Reviewing $reviewing,
        private string $projectDir,
    ) {
    }

    /**
     * @param array<string, string>                                                       $classes  ids by name
     * @param array<string, array{sim: SimulatedStudent, user: StudentUser, class: string}> $students
     */
    public function tell(StaffUser $teacher, array $classes, array $students): void
    {
        $told = Scenario::map(Yaml::parseFile($this->projectDir.'/demo/questions-by-students.yaml'));
        $class = Scenario::text($told['class'] ?? '');
        $invitation = Uuid::v7()->toRfc4122();
        $this->invitations->open($teacher, new InvitationInput($invitation, $classes[$class] ?? '', Scenario::text($told['topic'] ?? '')));
        $members = array_values(array_filter($students, static fn (array $s): bool => $s['class'] === $class));
        foreach (array_values(Scenario::map($told['questions'] ?? [])) as $i => $question) {
            $this->write($teacher, $invitation, Scenario::map($question), $members, $i * self::APART);
        }
    }

    /**
     * @param array<array-key, mixed>                                             $told
     * @param list<array{sim: SimulatedStudent, user: StudentUser, class: string}> $members
     */
    private function write(StaffUser $teacher, string $invitation, array $told, array $members, int $writer): void
    {
        $id = Uuid::v7()->toRfc4122();
        $question = ['prompt' => $told['prompt'], 'key' => $told['key'], 'because' => $told['because'], 'options' => $told['options']];
        $this->proposals->write($members[$writer]['user'], $id, new ProposalInput($invitation, $question));
        if (isset($told['shown'])) {
            $this->reviewing->show($teacher, $id, false);
            $this->answer($id, $told, $members, $writer);
        }
        if (isset($told['letIn'])) {
            $this->reviewing->letIn($teacher, $id, ($told['named'] ?? false) === true);
        }
        if (isset($told['sentBack'])) {
            $this->reviewing->sendBack($teacher, $id, Scenario::text($told['sentBack']));
        }
    }

    /**
     * @param array<array-key, mixed>                                             $told
     * @param list<array{sim: SimulatedStudent, user: StudentUser, class: string}> $members
     */
    private function answer(string $id, array $told, array $members, int $writer): void
    {
        $key = is_int($told['key'] ?? null) ? $told['key'] : 0;
        $right = is_float($told['right'] ?? null) ? $told['right'] : 0.5;
        $options = count(Scenario::map($told['options'] ?? []));
        foreach ($members as $i => ['sim' => $sim, 'user' => $user]) {
            if ($i === $writer || $sim->chance() >= self::ANSWER) {
                continue;
            }
            $other = ($key + 1 + (int) floor($sim->chance() * ($options - 1))) % $options;
            $this->proposals->answer($user, $id, new PickInput($sim->chance() < $right ? $key : $other, 1));
        }
    }
}
