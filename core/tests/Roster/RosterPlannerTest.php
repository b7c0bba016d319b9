<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Roster;

use ChalkLadder\Core\Roster\ClassNow;
use ChalkLadder\Core\Roster\LeftAlone;
use ChalkLadder\Core\Roster\PlannedClass;
use ChalkLadder\Core\Roster\PlannedStudent;
use ChalkLadder\Core\Roster\RosterNow;
use ChalkLadder\Core\Roster\RosterPlan;
use ChalkLadder\Core\Roster\RosterPlanner;
use ChalkLadder\Core\Roster\SchoolFiles;
use PHPUnit\Framework\TestCase;

final class RosterPlannerTest extends TestCase
{
    private const USERS = "sourcedId,status,role,givenName,familyName,email\n"
        ."p1,,student,Ada,Okafor,\np2,,student,Benoît,Larsen,\np9,,teacher,Idris,Calloway,Idris@School.example\n";
    private const CLASSES = "sourcedId,status,title\nc1,,8 Kestrel\n";
    private const PLACES = "sourcedId,status,classSourcedId,userSourcedId,role\ne1,,c1,p1,student\ne2,,c1,p2,student\ne3,,c1,p9,teacher\n";

    public function testWhatIsNewIsMadeWithItsStudentsAndTeachers(): void
    {
        $plan = self::plan();
        self::assertSame([['8 Kestrel', null, null]], array_map(static fn (PlannedClass $c): array => [$c->name, $c->id, $c->was], $plan->classes));
        self::assertSame(['Ada Okafor: add', 'Benoît Larsen: add'], self::fates($plan));
        self::assertSame(['staff-idris'], $plan->classes[0]->teachers);
        self::assertSame([], $plan->left);
    }

    public function testTakenTwiceItChangesNothing(): void
    {
        $now = self::now(
            [new ClassNow('class', '8 Kestrel', 'c1', ['ada' => true, 'ben' => true], ['staff-idris'])],
            ['ada' => 'Ada Okafor', 'ben' => 'Benoît Larsen'],
            ['p1' => 'ada', 'p2' => 'ben'],
        );
        $plan = self::plan($now);
        self::assertSame(['Ada Okafor: here', 'Benoît Larsen: here'], self::fates($plan));
        self::assertSame([null, []], [$plan->classes[0]->was, $plan->classes[0]->teachers]);
        self::assertSame([[], [], []], [$plan->renames, $plan->links, $plan->left]);
    }

    public function testClassesAndStudentsOfBeforeAreFoundByTheirNames(): void
    {
        $now = self::now(
            [new ClassNow('class', '8 kestrel', null, ['ada' => true, 'ben' => false, 'cleo' => true], [])],
            ['ada' => 'ada okafor', 'ben' => 'Benoit Larsen', 'cleo' => 'Cleo Marsh'],
        );
        $plan = self::plan($now);
        self::assertSame(['ada' => 'p1', 'ben' => 'p2'], $plan->links);
        self::assertSame(['Ada Okafor: here', 'Benoît Larsen: back'], self::fates($plan));
        self::assertSame('8 kestrel', $plan->classes[0]->was);
        self::assertSame(1, $plan->classes[0]->others, 'Cleo stays, of whom no file tells');
        self::assertSame(['ada' => 'Ada Okafor', 'ben' => 'Benoît Larsen'], $plan->renames);
    }

    public function testOfTwoWhoGoByOneNameNobodyIsGuessed(): void
    {
        $now = self::now([new ClassNow('class', '8 Kestrel', null, ['ada' => false, 'other' => false], [])], ['ada' => 'Ada Okafor', 'other' => 'Ada Okafor']);
        self::assertSame('Ada Okafor: add', self::fates(self::plan($now))[0], 'two have left by this name');

        $twins = str_replace("p2,,student,Benoît,Larsen,\n", "p2,,student,Ada,Okafor,\n", self::USERS);
        self::assertSame(['Ada Okafor: add', 'Ada Okafor: clash'], self::fates(self::plan(users: $twins)));
        $now = self::now([new ClassNow('class', '8 Kestrel', null, ['ada' => true], [])], ['ada' => 'Ada Okafor']);
        $plan = self::plan($now, users: $twins);
        self::assertSame([['Ada Okafor: clash', 'Ada Okafor: clash'], []], [self::fates($plan), $plan->links], 'who of the two is here?');
    }

    public function testWhoIsMadeInOneClassComesIntoTheNext(): void
    {
        $classes = self::CLASSES."c2,,8 Tern\n";
        $places = self::PLACES."e4,,c2,p1,student\n";
        $plan = self::plan(classes: $classes, places: $places);
        self::assertSame(['Ada Okafor: join'], self::fates($plan, 1));
        $plan = self::plan(classes: $classes, places: $places, skip: ['c1']);
        self::assertSame([false, [], ['Ada Okafor: add']], [$plan->classes[0]->taken, self::fates($plan), self::fates($plan, 1)], 'the first is left out');
        $now = self::now([new ClassNow('tern', '8 Tern', null, ['ada' => true], [])], ['ada' => 'Ada Okafor']);
        $plan = self::plan($now, classes: $classes, places: $places);
        self::assertSame([['ada' => 'p1'], 'Ada Okafor: join', ['Ada Okafor: here']], [$plan->links, self::fates($plan)[0], self::fates($plan, 1)]);
    }

    public function testOnlyThoseLeaveOfWhomItIsSaid(): void
    {
        $now = self::now(
            [new ClassNow('class', '8 Kestrel', 'c1', ['ada' => true, 'ben' => true], []), new ClassNow('tern', '8 Tern', null, ['ben' => true], [])],
            ['ada' => 'Ada Okafor', 'ben' => 'Benoît Larsen'],
            ['p1' => 'ada', 'p2' => 'ben'],
        );
        $plan = self::plan($now, users: null, classes: null, places: "status,classSourcedId,userSourcedId,role\ntobedeleted,c1,p1,student\n");
        self::assertSame([['Ada Okafor: leave'], []], [self::fates($plan), $plan->gone]);
        $plan = self::plan($now, users: "sourcedId,status,givenName,familyName\np2,tobedeleted,Benoît,Larsen\n", classes: null, places: null);
        self::assertSame([[], ['ben']], [$plan->classes, $plan->gone], 'from all classes');
        $plan = self::plan($now, classes: "sourcedId,status,title\nc1,tobedeleted,8 Kestrel\n");
        self::assertSame([], $plan->classes);
        self::assertStringContainsString('A class here stays', $plan->left[0]->why);
    }

    public function testANameMakesRoomForAnotherInTheSameStep(): void
    {
        $now = self::now(
            [new ClassNow('class', '8 Kestrel', 'c1', ['ada' => true], [])],
            ['ada' => 'Ada Okafor', 'ben' => 'Benoît Larsen'],
            ['p7' => 'ada'],
        );
        $plan = self::plan($now, places: self::PLACES."e7,tobedeleted,c1,p7,student\n");
        self::assertSame(['Ada Okafor: add', 'Benoît Larsen: add', 'Ada Okafor: leave'], self::fates($plan));
    }

    public function testAKnownStudentIsRenamedUnlessTheNameIsTakenOrKept(): void
    {
        $now = self::now(
            [new ClassNow('class', '8 Kestrel', 'c1', ['ada' => true, 'ben' => true], [])],
            ['ada' => 'Ada Okafor-Lind', 'ben' => 'Benoît Larsen'],
            ['p1' => 'ada', 'p2' => 'ben'],
        );
        self::assertSame(['ada' => 'Ada Okafor'], self::plan($now)->renames);
        self::assertSame([], self::plan($now, keepNames: true)->renames);
        $plan = self::plan($now, users: "sourcedId,givenName,familyName\np1,benoit,larsen\n", classes: null, places: null);
        self::assertSame([], $plan->renames);
        self::assertSame('Stays Ada Okafor-Lind: somebody else in their class goes by the new name.', $plan->left[0]->why);
    }

    public function testAClassWhoseNewNameIsTakenKeepsItsOwnAndIsFilled(): void
    {
        $classes = [new ClassNow('class', '8 Kestrel', 'c1', [], []), new ClassNow('tern', '8 Tern', null, [], [])];
        $plan = self::plan(self::now($classes, []), classes: "sourcedId,title\nc1,8 Tern\n");
        self::assertSame(['8 Kestrel', null], [$plan->classes[0]->name, $plan->classes[0]->was]);
        self::assertSame(['Ada Okafor: add', 'Benoît Larsen: add'], self::fates($plan));
        self::assertSame('Stays 8 Kestrel: another class goes by the new name.', $plan->left[0]->why);
    }

    public function testIdsThatAreNumbersAreIdsAllTheSame(): void
    {
        $plan = self::plan(
            users: "sourcedId,givenName,familyName\n1,Ada,Okafor\n",
            classes: "sourcedId,title\n7,8 Kestrel\n",
            places: "classSourcedId,userSourcedId,role\n7,1,student\n",
        );
        self::assertSame('7', $plan->classes[0]->sourceId);
        self::assertSame('1', $plan->classes[0]->students[0]->sourceId);
        self::assertSame([false], array_map(static fn (PlannedClass $c): bool => $c->taken, self::plan(
            users: null,
            classes: "sourcedId,title\n7,8 Kestrel\n",
            places: null,
            skip: ['7'],
        )->classes));
    }

    public function testWhatCannotBeUsedIsToldWithItsLine(): void
    {
        $plan = self::plan(
            users: self::USERS."p1,,student,Ada,Twice,\n,,student,No,Id,\np4,,student,12,,\np5,archived,student,Old,State,\n",
            classes: self::CLASSES."c2,,\nc3,,8 KESTREL\n",
            places: self::PLACES."e5,,c9,p1,student\ne6,,c1,p77,student\ne7,,c1,p1,student\ne8,,c1,p1,aide\ne9,tobedeleted,c1,p9,teacher\n",
        );
        self::assertSame([
            'classes.csv 3 : It has no title.',
            'classes.csv 4 8 KESTREL: Another class goes by this name.',
            'enrollments.csv 5 Ada Okafor: Their class is neither here nor taken from the files.',
            'enrollments.csv 6 p77: They are neither here nor in users.csv.',
            'enrollments.csv 7 Ada Okafor: Their place in this class stands in line 2 already.',
            'enrollments.csv 8 Ada Okafor: Neither a student’s place nor a teacher’s.',
            'enrollments.csv 9 Idris Calloway: Their place in this class stands in line 4 already.',
            'users.csv 5 Ada Twice: They stand in line 2 already.',
            'users.csv 6 No Id: Its sourcedId is empty.',
            'users.csv 7 12: No letter in it.',
            'users.csv 8 p5: Its status is neither active nor tobedeleted.',
        ], self::told($plan));
    }

    public function testAFileThatCannotBeReadSaysWhereAndTheOthersAreRead(): void
    {
        $read = SchoolFiles::read(['users.csv' => "sourcedId,givenName\np1,Ada\n", 'classes.csv' => self::CLASSES, 'enrollments.csv' => "classSourcedId,userSourcedId,role\nc1,p1\n"]);
        self::assertSame(['users.csv:1:1: the column “familyName” is missing', 'enrollments.csv:2:3: this row has 2 cells, the header 3'], $read->faults);
        self::assertCount(1, $read->classes);
    }

    public function testATeacherWhoIsNotInTheTeamIsTold(): void
    {
        $plan = self::plan(users: str_replace('Idris@School.example', 'other@school.example', self::USERS));
        self::assertSame([], $plan->classes[0]->teachers);
        self::assertStringContainsString('not in this team', $plan->left[0]->why);
    }

    /** @param list<string> $skip */
    private static function plan(
        ?RosterNow $now = null,
        ?string $users = self::USERS,
        ?string $classes = self::CLASSES,
        ?string $places = self::PLACES,
        array $skip = [],
        bool $keepNames = false,
    ): RosterPlan {
        $texts = array_filter(['users.csv' => $users, 'classes.csv' => $classes, 'enrollments.csv' => $places], is_string(...));

        return RosterPlanner::plan(SchoolFiles::read($texts), $now ?? self::now([], []), $skip, $keepNames);
    }

    /**
     * @param list<ClassNow>        $classes
     * @param array<string, string> $names
     * @param array<string, string> $sources
     */
    private static function now(array $classes, array $names, array $sources = []): RosterNow
    {
        return new RosterNow($classes, $names, $sources, ['idris@school.example' => 'staff-idris']);
    }

    /** @return list<string> */
    private static function fates(RosterPlan $plan, int $class = 0): array
    {
        return array_map(static fn (PlannedStudent $s): string => "$s->name: $s->fate", $plan->classes[$class]->students);
    }

    /** @return list<string> */
    private static function told(RosterPlan $plan): array
    {
        return array_map(static fn (LeftAlone $l): string => "$l->file $l->line $l->what: $l->why", $plan->left);
    }
}
