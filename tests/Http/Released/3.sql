/*M!999999\- enable the sandbox mode */ 
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `acts` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `uuid` char(36) NOT NULL,
  `entry_id` bigint(20) unsigned NOT NULL,
  `machine_id` bigint(20) unsigned NOT NULL,
  `spot_id` bigint(20) unsigned NOT NULL,
  `kind` varchar(12) NOT NULL,
  `check_key` varchar(40) NOT NULL DEFAULT '' COMMENT 'the check, or a finding of its own',
  `outcome` varchar(12) NOT NULL,
  `meets` tinyint(1) NOT NULL COMMENT 'it stands, was done, usable and enough',
  `verdict` varchar(12) DEFAULT NULL,
  `task_id` bigint(20) unsigned DEFAULT NULL COMMENT 'the task that was ticked',
  `title` varchar(80) NOT NULL COMMENT 'what it was called then',
  `words` varchar(500) DEFAULT NULL,
  `advice` varchar(500) DEFAULT NULL,
  `limit_source` varchar(16) DEFAULT NULL,
  `typed` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL COMMENT 'what was entered' CHECK (json_valid(`typed`)),
  `strokes` smallint(5) unsigned DEFAULT NULL,
  `sign_seen` tinyint(1) NOT NULL DEFAULT 0 COMMENT 'the grease showed, or resisted',
  `note` varchar(1200) DEFAULT NULL,
  `happened_at` datetime NOT NULL COMMENT 'of one known by its day: that day''s end',
  `person_id` bigint(20) unsigned DEFAULT NULL,
  `device` varchar(60) DEFAULT NULL,
  `hours` decimal(12,2) DEFAULT NULL COMMENT 'run by then',
  `km` decimal(12,2) DEFAULT NULL,
  `replaces` char(36) DEFAULT NULL,
  `told_with` char(36) DEFAULT NULL COMMENT 'the act that it was told with, and is taken back with',
  `struck_at` datetime DEFAULT NULL,
  `looked_by` varchar(8) NOT NULL DEFAULT 'check' COMMENT 'the check of the sheet, chance, or greasing',
  PRIMARY KEY (`id`),
  UNIQUE KEY `acts_uuid_unique` (`uuid`),
  KEY `acts_entry_id_foreign` (`entry_id`),
  KEY `acts_person_id_foreign` (`person_id`),
  KEY `acts_newest` (`spot_id`,`kind`,`check_key`,`meets`,`happened_at`,`hours`,`km`),
  KEY `acts_machine_id_happened_at_index` (`machine_id`,`happened_at`),
  KEY `acts_machine_id_verdict_index` (`machine_id`,`verdict`),
  KEY `acts_machine_id_check_key_happened_at_index` (`machine_id`,`check_key`,`happened_at`),
  KEY `acts_replaces_index` (`replaces`),
  KEY `acts_told_with_index` (`told_with`),
  CONSTRAINT `acts_entry_id_foreign` FOREIGN KEY (`entry_id`) REFERENCES `entries` (`id`) ON DELETE CASCADE,
  CONSTRAINT `acts_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE,
  CONSTRAINT `acts_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`),
  CONSTRAINT `acts_spot_id_foreign` FOREIGN KEY (`spot_id`) REFERENCES `spots` (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=3 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `acts` VALUES
(1,'db64f04b-db69-4a99-a026-eaaf84976d46',4,1,1,'changed','','done',1,NULL,1,'Engine oil',NULL,NULL,NULL,NULL,NULL,0,NULL,'2026-11-26 22:30:25',1,NULL,31.50,NULL,NULL,NULL,NULL,'check'),
(2,'0b2f1f5e-4a57-4d0c-9d0a-0c5d5fb3a003',8,1,1,'topped_up','','done',1,NULL,NULL,'Engine oil',NULL,NULL,NULL,NULL,NULL,0,NULL,'2026-11-26 22:45:00',1,NULL,31.50,NULL,NULL,NULL,NULL,'check');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `calendar_events` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `rule_id` bigint(20) unsigned NOT NULL,
  `machine_id` bigint(20) unsigned NOT NULL,
  `cycle` char(16) NOT NULL COMMENT 'hash of when it was last done: the same point keeps its identity however its day moves',
  `day` date NOT NULL,
  `summary` varchar(160) NOT NULL,
  `description` text NOT NULL,
  `sequence` int(10) unsigned NOT NULL DEFAULT 0,
  `changed_at` datetime NOT NULL,
  `cancelled_at` datetime DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `calendar_events_rule_id_cycle_unique` (`rule_id`,`cycle`),
  KEY `calendar_events_machine_id_foreign` (`machine_id`),
  CONSTRAINT `calendar_events_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE,
  CONSTRAINT `calendar_events_rule_id_foreign` FOREIGN KEY (`rule_id`) REFERENCES `rules` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `calendar_feeds` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `person_id` bigint(20) unsigned NOT NULL,
  `whole_yard` tinyint(1) NOT NULL,
  `remind_days` tinyint(3) unsigned NOT NULL DEFAULT 2,
  `token` text NOT NULL COMMENT 'encrypted',
  `token_hash` char(64) NOT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `calendar_feeds_token_hash_unique` (`token_hash`),
  KEY `calendar_feeds_person_id_foreign` (`person_id`),
  CONSTRAINT `calendar_feeds_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `changed_checks` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `class` varchar(24) DEFAULT NULL,
  `machine_id` bigint(20) unsigned DEFAULT NULL,
  `key` varchar(40) NOT NULL,
  `values` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`values`)),
  `dropped` tinyint(1) NOT NULL DEFAULT 0,
  `position` double DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `changed_checks_machine_id_key_unique` (`machine_id`,`key`),
  KEY `changed_checks_class_key_index` (`class`,`key`),
  CONSTRAINT `changed_checks_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `class_seasons` (
  `class` varchar(24) NOT NULL,
  `month` char(7) NOT NULL COMMENT 'the month in which it holds',
  `hash` char(12) NOT NULL,
  `weights` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`weights`)),
  PRIMARY KEY (`class`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `class_seasons` VALUES
('rider_mower','2026-11','b337782f386f','[1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1,1]');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `containers` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `supply_id` bigint(20) unsigned NOT NULL,
  `entry_id` bigint(20) unsigned NOT NULL COMMENT 'the entry that it came with; gone with it when struck',
  `size` varchar(40) NOT NULL COMMENT 'as typed',
  `litres` decimal(14,6) NOT NULL,
  `use_by` date DEFAULT NULL COMMENT 'as printed on it',
  PRIMARY KEY (`id`),
  KEY `containers_supply_id_foreign` (`supply_id`),
  KEY `containers_entry_id_index` (`entry_id`),
  CONSTRAINT `containers_supply_id_foreign` FOREIGN KEY (`supply_id`) REFERENCES `supplies` (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `containers` VALUES
(1,1,7,'5 L',5.000000,NULL);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `counter_links` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `gathering_list_id` bigint(20) unsigned NOT NULL,
  `person_id` bigint(20) unsigned NOT NULL,
  `token` text NOT NULL COMMENT 'encrypted',
  `token_hash` char(64) NOT NULL,
  `expires_at` datetime NOT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `counter_links_token_hash_unique` (`token_hash`),
  KEY `counter_links_gathering_list_id_foreign` (`gathering_list_id`),
  KEY `counter_links_person_id_foreign` (`person_id`),
  CONSTRAINT `counter_links_gathering_list_id_foreign` FOREIGN KEY (`gathering_list_id`) REFERENCES `gathering_lists` (`id`) ON DELETE CASCADE,
  CONSTRAINT `counter_links_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `decisions` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `entry_id` bigint(20) unsigned NOT NULL,
  `task_id` bigint(20) unsigned NOT NULL,
  `task` varchar(80) NOT NULL COMMENT 'what it was called then',
  `kind` varchar(8) NOT NULL,
  `hours` decimal(12,2) DEFAULT NULL,
  `km` decimal(12,2) DEFAULT NULL,
  `date` date DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `decisions_entry_id_foreign` (`entry_id`),
  KEY `decisions_task_id_entry_id_index` (`task_id`,`entry_id`),
  CONSTRAINT `decisions_entry_id_foreign` FOREIGN KEY (`entry_id`) REFERENCES `entries` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `doubts` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `entry_id` bigint(20) unsigned NOT NULL,
  `act_id` bigint(20) unsigned DEFAULT NULL COMMENT 'what of it is asked about',
  `asks` varchar(500) NOT NULL,
  `answer_id` bigint(20) unsigned DEFAULT NULL COMMENT 'the entry that says what is right',
  PRIMARY KEY (`id`),
  KEY `doubts_entry_id_foreign` (`entry_id`),
  KEY `doubts_act_id_foreign` (`act_id`),
  KEY `doubts_answer_id_foreign` (`answer_id`),
  CONSTRAINT `doubts_act_id_foreign` FOREIGN KEY (`act_id`) REFERENCES `acts` (`id`) ON DELETE CASCADE,
  CONSTRAINT `doubts_answer_id_foreign` FOREIGN KEY (`answer_id`) REFERENCES `entries` (`id`) ON DELETE CASCADE,
  CONSTRAINT `doubts_entry_id_foreign` FOREIGN KEY (`entry_id`) REFERENCES `entries` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `doubts` VALUES
(1,8,2,'It was poured from no container that is open and will do by the book. Count what is there.',NULL);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `entries` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `uuid` char(36) NOT NULL,
  `machine_id` bigint(20) unsigned DEFAULT NULL,
  `kind` varchar(16) NOT NULL,
  `happened_at` datetime NOT NULL,
  `day_only` tinyint(1) NOT NULL DEFAULT 0,
  `written_at` datetime NOT NULL,
  `person_id` bigint(20) unsigned DEFAULT NULL,
  `device` varchar(60) DEFAULT NULL,
  `note` varchar(1200) DEFAULT NULL,
  `round_id` bigint(20) unsigned DEFAULT NULL,
  `job_id` char(36) DEFAULT NULL,
  `confirmed_because` varchar(500) DEFAULT NULL,
  `corrects_id` bigint(20) unsigned DEFAULT NULL,
  `detail` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL COMMENT 'what else this kind of entry says' CHECK (json_valid(`detail`)),
  `struck_at` datetime DEFAULT NULL,
  `struck_by_id` bigint(20) unsigned DEFAULT NULL,
  `struck_because` varchar(500) DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `entries_uuid_unique` (`uuid`),
  KEY `entries_person_id_foreign` (`person_id`),
  KEY `entries_round_id_foreign` (`round_id`),
  KEY `entries_struck_by_id_foreign` (`struck_by_id`),
  KEY `entries_happened_at_id_index` (`happened_at`,`id`),
  KEY `entries_kind_happened_at_id_index` (`kind`,`happened_at`,`id`),
  KEY `entries_machine_id_happened_at_id_index` (`machine_id`,`happened_at`,`id`),
  KEY `entries_machine_id_kind_happened_at_index` (`machine_id`,`kind`,`happened_at`),
  KEY `entries_job_id_index` (`job_id`),
  CONSTRAINT `entries_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE,
  CONSTRAINT `entries_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`),
  CONSTRAINT `entries_round_id_foreign` FOREIGN KEY (`round_id`) REFERENCES `rounds` (`id`),
  CONSTRAINT `entries_struck_by_id_foreign` FOREIGN KEY (`struck_by_id`) REFERENCES `people` (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=9 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `entries` VALUES
(1,'9af5d0b2-6673-40bc-b18f-dac7ae36cb15',1,'machine_added','2026-05-01 11:00:00',1,'2026-11-26 22:30:25',1,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL),
(2,'493f5706-6c9f-4a9f-922f-f0a0753ff112',1,'reading','2026-11-26 22:30:25',0,'2026-11-26 22:30:25',1,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL),
(3,'9031bbe0-ae4c-4b55-91f6-229950ef8227',1,'reading','2026-11-26 22:30:25',0,'2026-11-26 22:30:25',1,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL),
(4,'780dbb5f-63bc-43f5-8066-d0f8abad08b9',1,'service','2026-11-26 22:30:25',0,'2026-11-26 22:30:25',1,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL),
(5,'0fe2454f-a873-4678-9e70-ac4801b43509',1,'stood_down','2026-05-14 09:57:35',0,'2026-05-14 09:57:35',1,'desk','Guard off',NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL),
(6,'2a2368f6-dc69-4f99-a65f-cc7fadcc6643',1,'lifted','2026-05-14 09:57:35',0,'2026-05-14 09:57:35',1,'desk','Guard on',NULL,NULL,NULL,NULL,'{\"lifts\":[\"0fe2454f-a873-4678-9e70-ac4801b43509\"]}',NULL,NULL,NULL),
(7,'0b2f1f5e-4a57-4d0c-9d0a-0c5d5fb3a001',NULL,'bought','2026-11-26 22:40:00',0,'2026-11-26 22:40:00',1,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL),
(8,'0b2f1f5e-4a57-4d0c-9d0a-0c5d5fb3a002',1,'topped_up','2026-11-26 22:45:00',0,'2026-11-26 22:45:00',1,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `fittings` (
  `act_id` bigint(20) unsigned NOT NULL,
  `number` varchar(80) DEFAULT NULL COMMENT 'the part that was fitted',
  `found` varchar(200) DEFAULT NULL COMMENT 'how the old one looked',
  `seal` varchar(80) DEFAULT NULL,
  `reused` tinyint(1) NOT NULL DEFAULT 0 COMMENT 'the old seal was used again',
  `torque` varchar(40) DEFAULT NULL COMMENT 'as typed',
  `by_feel` tinyint(1) NOT NULL DEFAULT 0,
  `wrench` varchar(60) DEFAULT NULL COMMENT 'what it was tightened with',
  PRIMARY KEY (`act_id`),
  CONSTRAINT `fittings_act_id_foreign` FOREIGN KEY (`act_id`) REFERENCES `acts` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `gathered` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `entry_id` bigint(20) unsigned NOT NULL,
  `gathering_list_id` bigint(20) unsigned NOT NULL,
  `item` varchar(160) NOT NULL COMMENT 'the line of the list',
  `got` tinyint(1) NOT NULL,
  `happened_at` datetime NOT NULL,
  PRIMARY KEY (`id`),
  KEY `gathered_entry_id_foreign` (`entry_id`),
  KEY `gathered_gathering_list_id_item_happened_at_id_index` (`gathering_list_id`,`item`,`happened_at`,`id`),
  CONSTRAINT `gathered_entry_id_foreign` FOREIGN KEY (`entry_id`) REFERENCES `entries` (`id`) ON DELETE CASCADE,
  CONSTRAINT `gathered_gathering_list_id_foreign` FOREIGN KEY (`gathering_list_id`) REFERENCES `gathering_lists` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `gathering_lists` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(80) NOT NULL,
  `for_day` date DEFAULT NULL,
  `preference` varchar(12) NOT NULL,
  `works` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL COMMENT 'rules, and spots with something found, each with when it was done last' CHECK (json_valid(`works`)),
  `person_id` bigint(20) unsigned NOT NULL,
  `made_at` datetime NOT NULL,
  `closed_at` datetime DEFAULT NULL,
  `version` int(10) unsigned NOT NULL DEFAULT 1,
  PRIMARY KEY (`id`),
  KEY `gathering_lists_person_id_foreign` (`person_id`),
  CONSTRAINT `gathering_lists_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `grease_points` (
  `spot_id` bigint(20) unsigned NOT NULL,
  `grease` varchar(80) NOT NULL,
  `strokes` smallint(5) unsigned NOT NULL,
  `most` smallint(5) unsigned DEFAULT NULL,
  `end_sign` varchar(12) NOT NULL,
  `about` tinyint(1) NOT NULL DEFAULT 0 COMMENT 'nobody has counted its strokes yet',
  PRIMARY KEY (`spot_id`),
  CONSTRAINT `grease_points_spot_id_foreign` FOREIGN KEY (`spot_id`) REFERENCES `spots` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `grease_points` VALUES
(10,'NLGI 2, lithium complex',3,NULL,'shows',1),
(11,'NLGI 2, lithium complex',2,NULL,'shows',1),
(12,'NLGI 2, lithium complex',2,4,'shows',1),
(14,'NLGI 2, lithium complex',2,NULL,'shows',1),
(18,'NLGI 2, lithium complex',3,6,'shows',1),
(19,'NLGI 2, lithium complex',3,6,'shows',1);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `idempotency_keys` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `person_id` bigint(20) unsigned NOT NULL,
  `key` varchar(100) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  `fingerprint` char(64) NOT NULL,
  `status` smallint(5) unsigned DEFAULT NULL,
  `body` mediumtext DEFAULT NULL,
  `etag` varchar(20) DEFAULT NULL,
  `created_at` datetime NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `idempotency_keys_person_id_key_unique` (`person_id`,`key`),
  KEY `idempotency_keys_created_at_index` (`created_at`),
  CONSTRAINT `idempotency_keys_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `invitations` (
  `person_id` bigint(20) unsigned NOT NULL,
  `code_hash` char(64) NOT NULL,
  `ends_at` datetime NOT NULL,
  PRIMARY KEY (`person_id`),
  UNIQUE KEY `invitations_code_hash_unique` (`code_hash`),
  CONSTRAINT `invitations_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `invitations` VALUES
(1,'576ff01acc9f19e760426fb873396d00b46d9917bfd0d14de786c6ae93e9acfb','2026-05-15 09:57:35');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `job_steps` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `uuid` char(36) NOT NULL,
  `job_id` char(36) NOT NULL,
  `step` varchar(160) NOT NULL,
  `did` varchar(12) NOT NULL,
  `said` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL COMMENT 'what was entered at it' CHECK (json_valid(`said`)),
  `happened_at` datetime NOT NULL,
  `written_at` datetime NOT NULL,
  `person_id` bigint(20) unsigned DEFAULT NULL,
  `device` varchar(60) DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `job_steps_uuid_unique` (`uuid`),
  KEY `job_steps_person_id_foreign` (`person_id`),
  KEY `job_steps_job_id_happened_at_id_index` (`job_id`,`happened_at`,`id`),
  CONSTRAINT `job_steps_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE,
  CONSTRAINT `job_steps_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `jobs` (
  `id` char(36) NOT NULL,
  `machine_id` bigint(20) unsigned NOT NULL,
  `name` varchar(160) NOT NULL,
  `wanted` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL COMMENT 'the rules, findings and spots that it was made of' CHECK (json_valid(`wanted`)),
  `raised` tinyint(1) NOT NULL COMMENT 'whether the machine stands off the ground for it',
  `plan` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL COMMENT 'the steps, with their tables made ready' CHECK (json_valid(`plan`)),
  `person_id` bigint(20) unsigned DEFAULT NULL,
  `device` varchar(60) DEFAULT NULL,
  `made_at` datetime NOT NULL,
  `version` int(10) unsigned NOT NULL DEFAULT 1,
  PRIMARY KEY (`id`),
  KEY `jobs_person_id_foreign` (`person_id`),
  KEY `jobs_machine_id_made_at_index` (`machine_id`,`made_at`),
  CONSTRAINT `jobs_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE,
  CONSTRAINT `jobs_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `machine_dues` (
  `machine_id` bigint(20) unsigned NOT NULL,
  `dues` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL COMMENT 'each rule with its state, when it was done last, and the days on which it will fall due' CHECK (json_valid(`dues`)),
  PRIMARY KEY (`machine_id`),
  CONSTRAINT `machine_dues_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `machine_operator` (
  `machine_id` bigint(20) unsigned NOT NULL,
  `person_id` bigint(20) unsigned NOT NULL,
  PRIMARY KEY (`person_id`,`machine_id`),
  KEY `machine_operator_machine_id_foreign` (`machine_id`),
  CONSTRAINT `machine_operator_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE,
  CONSTRAINT `machine_operator_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `machines` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(60) NOT NULL,
  `class` varchar(24) NOT NULL,
  `place` varchar(60) NOT NULL,
  `maker` varchar(60) DEFAULT NULL,
  `model` varchar(60) DEFAULT NULL,
  `serial` varchar(60) DEFAULT NULL,
  `note` text DEFAULT NULL,
  `countdown_step` decimal(6,2) NOT NULL DEFAULT 1.00,
  `history` varchar(8) NOT NULL COMMENT 'new, known or unknown',
  `began_on` date DEFAULT NULL COMMENT 'the day a new machine began its life here',
  `severities` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL COMMENT 'what it lives under, all year or in one part of it' CHECK (json_valid(`severities`)),
  `warranty_until` date DEFAULT NULL,
  `warranty_hours` decimal(9,2) DEFAULT NULL,
  `extended_until` date DEFAULT NULL,
  `extended_hours` decimal(9,2) DEFAULT NULL,
  `schools` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL COMMENT 'where keepers differ: the way of each school that is not the usual one' CHECK (json_valid(`schools`)),
  `reset_note` text DEFAULT NULL COMMENT 'how the machine''s own reminder is reset',
  `shared_rulebook_id` bigint(20) unsigned DEFAULT NULL,
  `retired` tinyint(1) NOT NULL DEFAULT 0,
  `version` int(10) unsigned NOT NULL DEFAULT 1,
  `facts_version` bigint(20) unsigned NOT NULL DEFAULT 1,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `machines_shared_rulebook_id_foreign` (`shared_rulebook_id`),
  KEY `machines_retired_name_index` (`retired`,`name`),
  KEY `machines_class_index` (`class`),
  KEY `machines_place_index` (`place`),
  CONSTRAINT `machines_shared_rulebook_id_foreign` FOREIGN KEY (`shared_rulebook_id`) REFERENCES `shared_rulebooks` (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `machines` VALUES
(1,'Heron','rider_mower','Barn',NULL,NULL,NULL,NULL,1.00,'new','2026-05-01',NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,0,1,6,'2026-11-26 22:30:25','2026-11-26 22:30:25');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `measures` (
  `act_id` bigint(20) unsigned NOT NULL,
  `value` varchar(24) NOT NULL,
  `unit` varchar(12) NOT NULL,
  `limit` varchar(24) NOT NULL,
  `resolution` varchar(24) NOT NULL,
  `falls` tinyint(1) NOT NULL,
  PRIMARY KEY (`act_id`),
  CONSTRAINT `measures_act_id_foreign` FOREIGN KEY (`act_id`) REFERENCES `acts` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `meters` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `machine_id` bigint(20) unsigned NOT NULL,
  `unit` varchar(2) NOT NULL,
  `fitted_at` datetime NOT NULL,
  `shown_when_fitted` decimal(12,2) NOT NULL DEFAULT 0.00,
  `run_when_fitted` decimal(12,2) NOT NULL DEFAULT 0.00 COMMENT 'what the machine had run by then, in the meter''s unit',
  `fitted_by_id` bigint(20) unsigned DEFAULT NULL COMMENT 'the entry that records the change of meters; gone with it when struck',
  `struck` tinyint(1) NOT NULL DEFAULT 0,
  PRIMARY KEY (`id`),
  KEY `meters_machine_id_fitted_at_index` (`machine_id`,`fitted_at`),
  KEY `meters_fitted_by_id_index` (`fitted_by_id`),
  CONSTRAINT `meters_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `meters` VALUES
(1,1,'h','2026-05-01 11:00:00',0.00,0.00,NULL,0);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `migrations` (
  `id` int(10) unsigned NOT NULL AUTO_INCREMENT,
  `migration` varchar(255) NOT NULL,
  `batch` int(11) NOT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=12 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `migrations` VALUES
(1,'2026_01_01_000001_create_people',1),
(2,'2026_01_01_000002_create_machines',2),
(3,'2026_01_01_000003_create_logbook',3),
(4,'2026_01_01_000004_create_rulebook',4),
(5,'2026_01_01_000005_create_lines',5),
(6,'2026_01_01_000006_create_bench',6),
(7,'2026_01_01_000007_create_upkeep',7),
(8,'2026_12_01_000001_lifts_name_what_they_lift',7),
(9,'2026_12_01_000002_who_may_come_in',7),
(10,'2026_12_01_000003_yards_are_told_apart',7),
(11,'2026_12_01_000004_one_ledger_and_doubts_that_are_kept',8);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `moves` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `entry_id` bigint(20) unsigned NOT NULL,
  `act_id` bigint(20) unsigned DEFAULT NULL,
  `from_spot_id` bigint(20) unsigned DEFAULT NULL,
  `to_spot_id` bigint(20) unsigned DEFAULT NULL,
  `amount` decimal(14,6) DEFAULT NULL COMMENT 'litres of a fluid, pieces of a part; null where nobody measured it',
  `typed` varchar(40) DEFAULT NULL,
  `supply_id` bigint(20) unsigned DEFAULT NULL,
  `fluid` varchar(80) DEFAULT NULL COMMENT 'what it was called then',
  `kind` varchar(8) NOT NULL DEFAULT '' COMMENT 'what became of it: came, poured, drained, fitted, or counted',
  `from_container_id` bigint(20) unsigned DEFAULT NULL,
  `to_container_id` bigint(20) unsigned DEFAULT NULL,
  `happened_at` datetime NOT NULL,
  PRIMARY KEY (`id`),
  KEY `moves_entry_id_foreign` (`entry_id`),
  KEY `moves_act_id_foreign` (`act_id`),
  KEY `moves_from_id_foreign` (`from_spot_id`),
  KEY `moves_to_id_foreign` (`to_spot_id`),
  KEY `moves_supply_id_foreign` (`supply_id`),
  KEY `moves_from_container_id_foreign` (`from_container_id`),
  KEY `moves_to_container_id_foreign` (`to_container_id`),
  KEY `moves_supply_id_happened_at_id_index` (`supply_id`,`happened_at`,`id`),
  CONSTRAINT `moves_act_id_foreign` FOREIGN KEY (`act_id`) REFERENCES `acts` (`id`) ON DELETE CASCADE,
  CONSTRAINT `moves_entry_id_foreign` FOREIGN KEY (`entry_id`) REFERENCES `entries` (`id`) ON DELETE CASCADE,
  CONSTRAINT `moves_from_container_id_foreign` FOREIGN KEY (`from_container_id`) REFERENCES `containers` (`id`),
  CONSTRAINT `moves_from_id_foreign` FOREIGN KEY (`from_spot_id`) REFERENCES `spots` (`id`),
  CONSTRAINT `moves_supply_id_foreign` FOREIGN KEY (`supply_id`) REFERENCES `supplies` (`id`),
  CONSTRAINT `moves_to_container_id_foreign` FOREIGN KEY (`to_container_id`) REFERENCES `containers` (`id`),
  CONSTRAINT `moves_to_id_foreign` FOREIGN KEY (`to_spot_id`) REFERENCES `spots` (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=3 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `moves` VALUES
(1,7,NULL,NULL,NULL,5.000000,NULL,1,NULL,'came',NULL,1,'2026-11-26 22:40:00'),
(2,8,2,NULL,1,0.300000,'0.3 L',1,'Engine oil 10W-30','poured',NULL,NULL,'2026-11-26 22:45:00');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `night_works` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `work` varchar(20) NOT NULL,
  `began_at` datetime NOT NULL,
  `ended_at` datetime DEFAULT NULL,
  `succeeded` tinyint(1) DEFAULT NULL COMMENT 'null while it goes on, or where it was cut off',
  `says` varchar(400) DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `night_works_work_id_index` (`work`,`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `people` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(80) NOT NULL,
  `sign_in_name` varchar(40) NOT NULL,
  `password` varchar(255) NOT NULL,
  `role` varchar(12) NOT NULL,
  `may_use_all_machines` tinyint(1) NOT NULL DEFAULT 1,
  `active` tinyint(1) NOT NULL DEFAULT 1,
  `epoch` int(10) unsigned NOT NULL DEFAULT 1 COMMENT 'counts on whenever all that let the person in ends at once',
  `version` int(10) unsigned NOT NULL DEFAULT 1,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `people_sign_in_name_unique` (`sign_in_name`)
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `people` VALUES
(1,'Ida Holm','ida','$argon2id$v=19$m=8,t=1,p=1$L0ZZNXpWV1RTUXEuZHEyZg$Z0r/SyiINjcaK4Nd+NgGJMaDBYgDDrAXrIdArt38/eo','keeper',1,1,1,1,'2026-11-26 22:30:25','2026-11-26 22:30:25');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `personal_access_tokens` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `tokenable_type` varchar(255) NOT NULL,
  `tokenable_id` bigint(20) unsigned NOT NULL,
  `name` varchar(80) NOT NULL,
  `token` varchar(64) NOT NULL,
  `abilities` text DEFAULT NULL,
  `last_used_at` timestamp NULL DEFAULT NULL,
  `expires_at` timestamp NULL DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `epoch` int(10) unsigned NOT NULL DEFAULT 0 COMMENT 'its owner''s when it was made',
  PRIMARY KEY (`id`),
  UNIQUE KEY `personal_access_tokens_token_unique` (`token`),
  KEY `personal_access_tokens_tokenable_type_tokenable_id_index` (`tokenable_type`,`tokenable_id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `photos` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `uuid` char(36) NOT NULL,
  `machine_id` bigint(20) unsigned NOT NULL,
  `act` char(36) NOT NULL COMMENT 'what was said, which may arrive after it',
  `person_id` bigint(20) unsigned NOT NULL,
  `width` smallint(5) unsigned NOT NULL,
  `height` smallint(5) unsigned NOT NULL,
  `bytes` int(10) unsigned NOT NULL,
  `created_at` datetime NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `photos_uuid_unique` (`uuid`),
  KEY `photos_machine_id_foreign` (`machine_id`),
  KEY `photos_person_id_foreign` (`person_id`),
  KEY `photos_act_index` (`act`),
  CONSTRAINT `photos_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE,
  CONSTRAINT `photos_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `queued_work` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `queue` varchar(40) NOT NULL,
  `payload` longtext NOT NULL,
  `attempts` tinyint(3) unsigned NOT NULL,
  `reserved_at` int(10) unsigned DEFAULT NULL,
  `available_at` int(10) unsigned NOT NULL,
  `created_at` int(10) unsigned NOT NULL,
  PRIMARY KEY (`id`),
  KEY `queued_work_queue_index` (`queue`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `readings` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `entry_id` bigint(20) unsigned NOT NULL,
  `meter_id` bigint(20) unsigned NOT NULL,
  `value` decimal(12,2) NOT NULL,
  `typed` varchar(60) NOT NULL COMMENT 'the value as the person wrote it',
  `happened_at` datetime NOT NULL,
  `day_only` tinyint(1) NOT NULL DEFAULT 0,
  `struck` tinyint(1) NOT NULL DEFAULT 0,
  PRIMARY KEY (`id`),
  KEY `readings_entry_id_foreign` (`entry_id`),
  KEY `readings_meter_id_happened_at_value_index` (`meter_id`,`happened_at`,`value`),
  CONSTRAINT `readings_entry_id_foreign` FOREIGN KEY (`entry_id`) REFERENCES `entries` (`id`) ON DELETE CASCADE,
  CONSTRAINT `readings_meter_id_foreign` FOREIGN KEY (`meter_id`) REFERENCES `meters` (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=5 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `readings` VALUES
(1,1,1,0.00,'0','2026-05-01 11:00:00',1,0),
(2,2,1,12.00,'12','2026-11-26 22:30:25',0,0),
(3,3,1,31.50,'31.5','2026-11-26 22:30:25',0,0),
(4,4,1,31.50,'31.5','2026-11-26 22:30:25',0,0);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `rounds` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `machine_id` bigint(20) unsigned NOT NULL,
  `kind` varchar(16) NOT NULL,
  `day` date NOT NULL,
  `started_at` datetime NOT NULL,
  `ended_at` datetime DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `rounds_machine_id_day_kind_unique` (`machine_id`,`day`,`kind`),
  KEY `rounds_day_index` (`day`),
  CONSTRAINT `rounds_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `rules` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `machine_id` bigint(20) unsigned NOT NULL,
  `task_id` bigint(20) unsigned NOT NULL,
  `first` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`first`)),
  `every` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`every`)),
  `book` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`book`)),
  `anchor` varchar(10) NOT NULL,
  `early` decimal(4,3) NOT NULL,
  `late` decimal(4,3) NOT NULL,
  `source` varchar(8) NOT NULL,
  `common_practice` tinyint(1) NOT NULL DEFAULT 0,
  `counts_from_beginning` tinyint(1) NOT NULL DEFAULT 0 COMMENT 'the machine''s beginning counts as the last time it was done',
  `windows` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL COMMENT 'parts of the year in which it comes' CHECK (json_valid(`windows`)),
  `condition` varchar(200) DEFAULT NULL COMMENT 'what a check must say',
  `goes_with_id` bigint(20) unsigned DEFAULT NULL,
  `top_up` varchar(40) DEFAULT NULL COMMENT 'what runs out with it and is poured back, as typed',
  `dealer_only` tinyint(1) NOT NULL DEFAULT 0 COMMENT 'the dealer''s, while the extended warranty runs',
  `loosened_because` varchar(500) DEFAULT NULL COMMENT 'why it is looser than the book under warranty',
  `shared_key` varchar(40) DEFAULT NULL COMMENT 'the rule of the shared rulebook that it follows',
  `note` varchar(500) DEFAULT NULL,
  `retired` tinyint(1) NOT NULL DEFAULT 0,
  `version` int(10) unsigned NOT NULL DEFAULT 1,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `rules_task_id_unique` (`task_id`),
  KEY `rules_goes_with_id_foreign` (`goes_with_id`),
  KEY `rules_machine_id_retired_index` (`machine_id`,`retired`),
  CONSTRAINT `rules_goes_with_id_foreign` FOREIGN KEY (`goes_with_id`) REFERENCES `rules` (`id`),
  CONSTRAINT `rules_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE,
  CONSTRAINT `rules_task_id_foreign` FOREIGN KEY (`task_id`) REFERENCES `tasks` (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `rules` VALUES
(1,1,1,'[]','{\"hours\":\"50\"}',NULL,'from_done',0.100,0.100,'keeper',0,1,'[]',NULL,NULL,NULL,0,NULL,NULL,NULL,0,1,'2026-11-26 22:30:25','2026-11-26 22:30:25');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `sent_notes` (
  `uuid` char(36) NOT NULL,
  `person_id` bigint(20) unsigned NOT NULL,
  `fingerprint` char(64) NOT NULL,
  `result` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`result`)),
  `created_at` datetime NOT NULL,
  PRIMARY KEY (`uuid`),
  KEY `sent_notes_person_id_foreign` (`person_id`),
  KEY `sent_notes_created_at_index` (`created_at`),
  CONSTRAINT `sent_notes_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `sent_notes` VALUES
('0fe2454f-a873-4678-9e70-ac4801b43509',1,'ceaf295f4d35245ee6ac7aaf54d60a51bdbb9edea79e3efcc2bcc2deaf43fe38','{\"entry_id\":5}','2026-05-14 09:57:35'),
('2a2368f6-dc69-4f99-a65f-cc7fadcc6643',1,'e85855569fbbb98370209df9a6759f4df1644e4ecdce659cd7ff76743ea9257c','{\"entry_id\":6}','2026-05-14 09:57:35'),
('493f5706-6c9f-4a9f-922f-f0a0753ff112',1,'efe8e04b5fe07200f8b1a146c68df2116f5cbfa95dabd22191b18aee010ccc5d','{\"entry_id\":2}','2026-11-26 22:30:25'),
('780dbb5f-63bc-43f5-8066-d0f8abad08b9',1,'9622702ed53070992e6e887b2a61390b08d5fbd8b8281b9b1c3be1b9cfe9a9ca','{\"entry_id\":4}','2026-11-26 22:30:25'),
('9031bbe0-ae4c-4b55-91f6-229950ef8227',1,'1c83e01ee095b5d3f89d481b7a0206ec743b4d7a2d42af65597f121330c6456e','{\"entry_id\":3}','2026-11-26 22:30:25');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `shared_rulebooks` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(80) NOT NULL,
  `class` varchar(24) NOT NULL,
  `rules` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL COMMENT 'by key, as a rule''s own columns' CHECK (json_valid(`rules`)),
  `version` int(10) unsigned NOT NULL DEFAULT 1,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `shared_rulebooks_class_index` (`class`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `sheets` (
  `spot_id` bigint(20) unsigned NOT NULL,
  `written` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL COMMENT 'what the keeper wrote down, by the kind of spot, as typed' CHECK (json_valid(`written`)),
  PRIMARY KEY (`spot_id`),
  CONSTRAINT `sheets_spot_id_foreign` FOREIGN KEY (`spot_id`) REFERENCES `spots` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `sign_ins` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `person_id` bigint(20) unsigned NOT NULL,
  `device` varchar(60) DEFAULT NULL COMMENT 'as it calls itself',
  `signed_in_at` datetime NOT NULL,
  `last_seen_at` datetime NOT NULL,
  PRIMARY KEY (`id`),
  KEY `sign_ins_person_id_foreign` (`person_id`),
  CONSTRAINT `sign_ins_person_id_foreign` FOREIGN KEY (`person_id`) REFERENCES `people` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `sign_ins` VALUES
(1,1,NULL,'2026-05-14 09:57:35','2026-05-14 09:57:35');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `spots` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `machine_id` bigint(20) unsigned NOT NULL,
  `key` varchar(40) NOT NULL COMMENT 'stable within the machine',
  `kind` varchar(12) NOT NULL,
  `subject` varchar(16) NOT NULL COMMENT 'what dust, heat, water and load do to it',
  `name` varchar(80) NOT NULL,
  `place` varchar(160) NOT NULL DEFAULT '',
  `reach` varchar(200) NOT NULL DEFAULT '',
  `trick` varchar(300) NOT NULL DEFAULT '',
  `parent_id` bigint(20) unsigned DEFAULT NULL,
  `compartment` varchar(20) DEFAULT NULL COMMENT 'of a compartment: what kind of housing',
  `role` varchar(12) DEFAULT NULL COMMENT 'of an opening: what is done through it',
  `shares_with_id` bigint(20) unsigned DEFAULT NULL,
  `x` tinyint(3) unsigned NOT NULL DEFAULT 50,
  `y` tinyint(3) unsigned NOT NULL DEFAULT 50,
  `position` double NOT NULL COMMENT 'in walking order',
  `retired` tinyint(1) NOT NULL DEFAULT 0,
  `version` int(10) unsigned NOT NULL DEFAULT 1,
  PRIMARY KEY (`id`),
  UNIQUE KEY `spots_machine_id_key_unique` (`machine_id`,`key`),
  KEY `spots_parent_id_foreign` (`parent_id`),
  KEY `spots_shares_with_id_foreign` (`shares_with_id`),
  CONSTRAINT `spots_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE,
  CONSTRAINT `spots_parent_id_foreign` FOREIGN KEY (`parent_id`) REFERENCES `spots` (`id`),
  CONSTRAINT `spots_shares_with_id_foreign` FOREIGN KEY (`shares_with_id`) REFERENCES `spots` (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=42 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `spots` VALUES
(1,1,'engine_oil','compartment','engine_oil','Engine oil','Sump, under the hood','','',NULL,'engine',NULL,NULL,20,50,0,0,1),
(2,1,'cooling_screen','plain','cooling','Cooling screen','Cooling screen on the engine','','',NULL,NULL,NULL,NULL,24,50,5,0,1),
(3,1,'cooling_fins','plain','cooling','Cooling fins','Under the shroud','','',NULL,NULL,NULL,NULL,22,56,6,0,1),
(4,1,'pre_cleaner','part','air_cleaner','Pre-cleaner','Sleeve over the element','','',NULL,NULL,NULL,NULL,18,44,7,0,1),
(5,1,'air_cleaner','part','air_cleaner','Air cleaner, main element','Cover on the engine','','',NULL,NULL,NULL,NULL,18,42,8,0,1),
(6,1,'fuel','compartment','fuel','Fuel','Tank, under the seat or hood','','',NULL,'fuel',NULL,NULL,34,50,9,0,1),
(7,1,'hoses','part','fuel','Hoses and clamps','Fuel line','','',NULL,NULL,NULL,NULL,30,46,14,0,1),
(8,1,'leaks','plain','other','Underside','Under the engine and the drive','','',NULL,NULL,NULL,NULL,50,50,15,0,1),
(9,1,'front_tyres','part','wheels','Front tyres','Both fronts','','',NULL,NULL,NULL,NULL,14,14,16,0,1),
(10,1,'axle_pivot','grease_point','grease','Axle pivot','Middle of the front axle','','',NULL,NULL,NULL,NULL,14,50,17,0,1),
(11,1,'king_pins','grease_point','grease','King pins','Both ends of the front axle','','',NULL,NULL,NULL,NULL,14,22,18,0,1),
(12,1,'front_wheel_bearings','grease_point','grease','Front wheel bearings','Both hubs','','',NULL,NULL,NULL,NULL,14,78,19,0,1),
(13,1,'steering','plain','wheels','Steering','At the wheel, wheels on the ground','','',NULL,NULL,NULL,NULL,44,50,20,0,1),
(14,1,'steering_sector','grease_point','grease','Steering sector','Under the column','From below, wheels turned left.','',NULL,NULL,NULL,NULL,34,58,21,0,1),
(15,1,'deck_belt','part','belts','Deck belt','On the deck, covers off','','',NULL,NULL,NULL,NULL,54,50,22,0,1),
(16,1,'blades','part','cutting','Blades','Under the deck','','',NULL,NULL,NULL,NULL,52,40,23,0,1),
(17,1,'deck','plain','cutting','Deck underside','Underside','','',NULL,NULL,NULL,NULL,52,60,24,0,1),
(18,1,'spindle_left','grease_point','grease','Spindle, left','Deck, left','','',NULL,NULL,NULL,NULL,52,26,25,0,1),
(19,1,'spindle_right','grease_point','grease','Spindle, right','Deck, right','','',NULL,NULL,NULL,NULL,52,74,26,0,1),
(20,1,'chute','plain','safety','Chute','Side of the deck','','',NULL,NULL,NULL,NULL,52,90,27,0,1),
(21,1,'drive_belt','part','belts','Drive belt','From engine to drive, from below','','',NULL,NULL,NULL,NULL,62,50,28,0,1),
(22,1,'hydrostatic','compartment','hydraulics','Hydrostatic oil','Drive, between the rear wheels','','',NULL,'hydrostatic',NULL,NULL,80,50,29,0,1),
(23,1,'rear_tyres','part','wheels','Rear tyres','Both rears','','',NULL,NULL,NULL,NULL,80,14,34,0,1),
(24,1,'safety_switches','plain','safety','Safety switches','Rise from the seat, blades on','','',NULL,NULL,NULL,NULL,70,50,35,0,1),
(25,1,'brakes','plain','brakes','Brakes','Pedal, rolling slowly','','',NULL,NULL,NULL,NULL,48,70,36,0,1),
(26,1,'lights','plain','other','Lights','Front','','',NULL,NULL,NULL,NULL,8,50,37,0,1),
(27,1,'spark_plugs','part','ignition','Spark plugs','Right side of the engine','','',NULL,NULL,NULL,NULL,20,60,38,0,1),
(28,1,'battery','part','battery','Battery','Under the seat','','',NULL,NULL,NULL,NULL,74,56,39,0,1),
(29,1,'exhaust','plain','exhaust','Exhaust','Muffler, in front','','',NULL,NULL,NULL,NULL,10,58,40,0,1),
(30,1,'engine_oil_fill','opening','engine_oil','Engine oil filler','Stick tube','','',1,NULL,'fill',NULL,17,45,1,0,1),
(31,1,'engine_oil_drain','opening','engine_oil','Engine oil drain','Left side, low','','',1,NULL,'drain',NULL,20,55,2,0,1),
(32,1,'engine_oil_level','opening','engine_oil','Engine oil stick','Stick, under the hood','','',1,NULL,'level',NULL,23,45,3,0,1),
(33,1,'engine_oil_filter','part','engine_oil','Engine oil filter','Left side of the engine','','',1,NULL,NULL,NULL,22,42,4,0,1),
(34,1,'fuel_fill','opening','fuel','Fuel filler','Cap of the tank','','',6,NULL,'fill',NULL,31,45,10,0,1),
(35,1,'fuel_draw','opening','fuel','Fuel draw-off','Siphon through the filler','','',6,NULL,'draw',NULL,37,55,11,0,1),
(36,1,'fuel_level','opening','fuel','Fuel gauge','Tank, under the seat or hood','','',6,NULL,'level',NULL,37,45,12,0,1),
(37,1,'fuel_filter','part','fuel','Fuel filter','In the line, under the hood','','',6,NULL,NULL,NULL,28,44,13,0,1),
(38,1,'hydrostatic_fill','opening','hydraulics','Hydrostatic oil filler','Tank under the seat','','',22,NULL,'fill',NULL,77,45,30,0,1),
(39,1,'hydrostatic_drain','opening','hydraulics','Hydrostatic oil drain','Under the drive','','',22,NULL,'drain',NULL,80,55,31,0,1),
(40,1,'hydrostatic_level','opening','hydraulics','Hydrostatic oil line','Tank under the seat, cold','','',22,NULL,'level',NULL,83,45,32,0,1),
(41,1,'hydrostatic_filter','part','hydraulics','Hydrostatic filter','Under the drive','','',22,NULL,NULL,NULL,82,56,33,0,1);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `supplies` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(80) NOT NULL,
  `kind` varchar(8) NOT NULL COMMENT 'fluid or part',
  `label` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL COMMENT 'of a fluid: what stands on the bottle' CHECK (json_valid(`label`)),
  `number` varchar(80) DEFAULT NULL COMMENT 'of a part: the number to ask for',
  `bare_number` varchar(80) DEFAULT NULL COMMENT 'however its groups are set apart',
  `code` varchar(12) NOT NULL COMMENT 'what its label on the shelf carries',
  `place` varchar(80) NOT NULL DEFAULT '' COMMENT 'where it stands',
  `sold_in` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL COMMENT 'sizes and prices, as typed' CHECK (json_valid(`sold_in`)),
  `delivery_days` smallint(5) unsigned DEFAULT NULL,
  `keeps_months` smallint(5) unsigned DEFAULT NULL COMMENT 'once opened',
  `retired` tinyint(1) NOT NULL DEFAULT 0,
  `version` int(10) unsigned NOT NULL DEFAULT 1,
  PRIMARY KEY (`id`),
  UNIQUE KEY `supplies_name_unique` (`name`),
  UNIQUE KEY `supplies_code_unique` (`code`),
  UNIQUE KEY `supplies_bare_number_unique` (`bare_number`)
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `supplies` VALUES
(1,'Engine oil 10W-30','fluid','{\"kind\":\"engine_oil\",\"grade\":\"10W-30\"}',NULL,NULL,'MKTA','Shelf by the door','[{\"size\":\"5 L\"}]',NULL,NULL,0,1);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `task_spots` (
  `task_id` bigint(20) unsigned NOT NULL,
  `spot_id` bigint(20) unsigned NOT NULL,
  `position` smallint(5) unsigned NOT NULL,
  PRIMARY KEY (`task_id`,`spot_id`),
  KEY `task_spots_spot_id_index` (`spot_id`),
  CONSTRAINT `task_spots_spot_id_foreign` FOREIGN KEY (`spot_id`) REFERENCES `spots` (`id`),
  CONSTRAINT `task_spots_task_id_foreign` FOREIGN KEY (`task_id`) REFERENCES `tasks` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `task_spots` VALUES
(1,1,0);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `tasks` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `machine_id` bigint(20) unsigned NOT NULL,
  `name` varchar(80) NOT NULL,
  `kind` varchar(12) NOT NULL,
  `check_key` varchar(40) DEFAULT NULL COMMENT 'the check by which it is done, where only that one will do',
  PRIMARY KEY (`id`),
  KEY `tasks_machine_id_foreign` (`machine_id`),
  CONSTRAINT `tasks_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `tasks` VALUES
(1,1,'Engine oil','replace',NULL);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `walk_lines` (
  `machine_id` bigint(20) unsigned NOT NULL,
  `looked_at` datetime DEFAULT NULL,
  `open_findings` smallint(5) unsigned NOT NULL DEFAULT 0,
  `line` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`line`)),
  `holds` tinyint(1) NOT NULL DEFAULT 1 COMMENT 'nothing has changed since',
  PRIMARY KEY (`machine_id`),
  KEY `walk_lines_looked_at_index` (`looked_at`),
  KEY `walk_lines_open_findings_index` (`open_findings`),
  KEY `walk_lines_holds_index` (`holds`),
  CONSTRAINT `walk_lines_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `walk_lines` VALUES
(1,NULL,0,'{}',0);
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `wanted_things` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `uuid` char(36) NOT NULL,
  `gathering_list_id` bigint(20) unsigned NOT NULL,
  `name` varchar(80) NOT NULL,
  `count` smallint(5) unsigned NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `wanted_things_uuid_unique` (`uuid`),
  KEY `wanted_things_gathering_list_id_foreign` (`gathering_list_id`),
  CONSTRAINT `wanted_things_gathering_list_id_foreign` FOREIGN KEY (`gathering_list_id`) REFERENCES `gathering_lists` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `weekly_readings` (
  `meter_id` bigint(20) unsigned NOT NULL,
  `weekly` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL COMMENT 'the last reading of each week: day since 1970, value shown' CHECK (json_valid(`weekly`)),
  PRIMARY KEY (`meter_id`),
  CONSTRAINT `weekly_readings_meter_id_foreign` FOREIGN KEY (`meter_id`) REFERENCES `meters` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `weekly_readings` VALUES
(1,'[[20574,\"0\"],[20783,\"31.5\"]]');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `yard` (
  `id` tinyint(3) unsigned NOT NULL,
  `name` varchar(80) NOT NULL,
  `time_zone` varchar(60) NOT NULL,
  `distance_unit` varchar(2) NOT NULL DEFAULT 'km',
  `severity` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL COMMENT 'shares that differ from the usual, by severity and subject' CHECK (json_valid(`severity`)),
  `coldest_night` varchar(20) DEFAULT NULL COMMENT 'as typed',
  `hottest_day` varchar(20) DEFAULT NULL COMMENT 'as typed',
  `fluid_school` varchar(20) NOT NULL DEFAULT 'makers_in_warranty',
  `grease_guns` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL COMMENT 'name and the weight of ten strokes of each' CHECK (json_valid(`grease_guns`)),
  `wrenches` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL COMMENT 'name and range of each torque wrench, as typed' CHECK (json_valid(`wrenches`)),
  `pans` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL COMMENT 'what catch pans hold, as typed' CHECK (json_valid(`pans`)),
  `currency` varchar(4) NOT NULL DEFAULT '',
  `is_demo` tinyint(1) NOT NULL DEFAULT 0 COMMENT 'an invented estate, which may be thrown away',
  `version` int(10) unsigned NOT NULL DEFAULT 1,
  `uuid` char(36) NOT NULL DEFAULT uuid() COMMENT 'the same in every copy of it',
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
INSERT INTO `yard` VALUES
(1,'Longacre','Europe/London','km',NULL,NULL,NULL,'makers_in_warranty',NULL,NULL,NULL,'',0,1,'6a0ad17d-ed30-11f1-a660-02fc00000001');
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `yard_lines` (
  `machine_id` bigint(20) unsigned NOT NULL,
  `facts_version` bigint(20) unsigned NOT NULL,
  `reckoned_on` date NOT NULL,
  `state` varchar(12) NOT NULL,
  `urgency` tinyint(3) unsigned NOT NULL,
  `days_left` int(11) NOT NULL,
  `line` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`line`)),
  `season` char(12) NOT NULL DEFAULT '' COMMENT 'hash of the class''s season that it was reckoned with',
  PRIMARY KEY (`machine_id`),
  KEY `yard_lines_urgency_days_left_machine_id_index` (`urgency`,`days_left`,`machine_id`),
  KEY `yard_lines_reckoned_on_season_index` (`reckoned_on`,`season`),
  CONSTRAINT `yard_lines_machine_id_foreign` FOREIGN KEY (`machine_id`) REFERENCES `machines` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
