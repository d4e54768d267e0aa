/** Given and family names from many origins, joined by chance into people who do not exist. */
export const givenNames =
	'Adaeze Aiko Alba Amadi Amara Anik Anouk Ariadna Aruna Asel Ayla Bao Beatriz Bilal Bodil Brana Caio Calla Chidi Cosmin Dalia Davit Delfina Dimas Edda Eero Ekene Eluned Emre Enya Esra Farid Fenna Fleur Gael Gita Goran Hadiza Hana Henrike Idris Ilse Imani Ines Inti Isko Jala Jaya Jomar Juno Kaito Kalani Kamil Keziah Kiona Lalit Leila Levan Linnea Lucia Luka Lumi Maceo Maëlle Malik Manu Marisol Mateo Meera Mika Milou Minh Nadir Naima Nayeli Neva Nika Nilufar Nuria Oisin Olumide Oren Paloma Petra Pilar Priya Quyen Rafiq Rania Renzo Rohan Rosalba Rune Sabela Sadia Samir Sanna Senna Shirin Signe Soraya Suda Tadeo Tala Tamsin Tarik Teodora Thabo Tindra Tomas Tuva Ugo Uma Valentin Vesna Viggo Wanjiru Wiktor Xiomara Yara Yusuf Zahra Zofia Zuri'.split(
		' '
	);

export const familyNames =
	'Abara Adeleke Aguilar Alvarsson Amankwah Anand Aoki Arslan Bakker Balogun Barros Bekele Benitez Berisha Bianchi Boateng Bondar Brandvold Bui Cardozo Castellan Chanda Chaves Cisneros Dahl Danso Demir Dhillon Diallo Dragan Eklund Ferreira Fontaine Gakuru Galvan Ghosh Gjonaj Gurung Haddad Halloran Hoang Horvat Ibekwe Iyer Jansen Kaplan Karimi Kaur Keita Khalil Kimura Koroma Kovac Lakatos Larsen Lim Lindqvist Lopes Mahmoud Makela Marchetti Mbeki Mendes Mensah Mishra Moreau Mwangi Nakamura Ndiaye Nguyen Nikolov Novotny Nwosu Obrien Ocampo Okafor Olsson Onyango Ortega Osei Paredes Patel Peralta Petrov Pham Pinto Quispe Rahimi Ramos Rinaldi Rojas Sahin Salazar Sato Seck Sharma Silva Solheim Sousa Svoboda Tanaka Tesfaye Toledo Tran Uribe Vargas Varga Vu Waweru Yamada Yildiz Zamora Zeman'.split(
		' '
	);

/** Classes, two a grade from grade 2, named after shore birds. */
export const classNames = [
	'Avocet',
	'Curlew',
	'Dunlin',
	'Godwit',
	'Knot',
	'Oystercatcher',
	'Phalarope',
	'Plover',
	'Redshank',
	'Sanderling',
	'Turnstone',
	'Whimbrel'
];
